<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * What a pattern says of cloth, techniques and alterations; filters kept by an account.
 */
final class Version20261201000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a pattern says of cloth, techniques and alterations; filters kept by an account';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE pattern ADD COLUMN details CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE account ADD COLUMN filters CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE pattern DROP COLUMN details');
        $this->addSql('ALTER TABLE account DROP COLUMN filters');
    }
}
