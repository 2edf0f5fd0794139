<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Tests done on a cloth.
 */
final class Version20261202000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Tests done on a cloth';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cloth ADD COLUMN family VARCHAR(255) DEFAULT NULL');
        $this->addSql("ALTER TABLE cloth ADD COLUMN tests CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cloth DROP COLUMN family');
        $this->addSql('ALTER TABLE cloth DROP COLUMN tests');
    }
}
