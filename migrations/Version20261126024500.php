<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126024500 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A width for a cut of its own, the motif of a cloth and where it came from, soft deadlines and not before';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cut ADD COLUMN width BIGINT DEFAULT NULL');
        $this->addSql('ALTER TABLE cloth ADD COLUMN motif BIGINT DEFAULT NULL');
        $this->addSql("ALTER TABLE cloth ADD COLUMN origin CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE project ADD COLUMN soft BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE project ADD COLUMN not_before DATETIME DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cut DROP COLUMN width');
        $this->addSql('ALTER TABLE cloth DROP COLUMN motif');
        $this->addSql('ALTER TABLE cloth DROP COLUMN origin');
        $this->addSql('ALTER TABLE project DROP COLUMN soft');
        $this->addSql('ALTER TABLE project DROP COLUMN not_before');
    }
}
