<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Measurements of people by day, and size charts of patterns.
 */
final class Version20261128000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Measurements of people by day, and size charts of patterns';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE person ADD COLUMN measured CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE person ADD COLUMN measured_before CLOB DEFAULT NULL');
        $this->addSql('ALTER TABLE person ADD COLUMN removed_at DATETIME DEFAULT NULL');
        $this->addSql('ALTER TABLE person ADD COLUMN revision INTEGER DEFAULT 1 NOT NULL');
        $this->addSql("ALTER TABLE pattern ADD COLUMN chart CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        foreach (['measured', 'measured_before', 'removed_at', 'revision'] as $column) {
            $this->addSql('ALTER TABLE person DROP COLUMN '.$column);
        }
        $this->addSql('ALTER TABLE pattern DROP COLUMN chart');
    }
}
