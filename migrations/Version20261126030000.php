<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126030000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Lists beside the seasons';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
            CREATE TABLE sewing_list (
                name VARCHAR(120) NOT NULL,
                starts DATETIME DEFAULT NULL,
                closes DATETIME DEFAULT NULL,
                target INTEGER DEFAULT NULL,
                rule VARCHAR(255) DEFAULT NULL,
                subject VARCHAR(200) NOT NULL,
                projects CLOB NOT NULL,
                notes CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                account_id VARCHAR(26) NOT NULL REFERENCES account (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql('CREATE INDEX sewing_list_account ON sewing_list (account_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE sewing_list');
    }
}
