<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126093000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a sewist says will do, whatever the rules say';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE overrule (
            reason VARCHAR(300) NOT NULL,
            said_on DATETIME NOT NULL,
            id VARCHAR(26) NOT NULL,
            account_id VARCHAR(26) NOT NULL REFERENCES account (id) ON DELETE CASCADE,
            cloth_id VARCHAR(26) NOT NULL REFERENCES cloth (id) ON DELETE CASCADE,
            version_id VARCHAR(26) NOT NULL REFERENCES version (id) ON DELETE CASCADE,
            PRIMARY KEY (id)
        )');
        $this->addSql('CREATE INDEX overrule_account ON overrule (account_id)');
        $this->addSql('CREATE INDEX overrule_version ON overrule (version_id)');
        $this->addSql('CREATE UNIQUE INDEX overrule_pair ON overrule (cloth_id, version_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE overrule');
    }
}
