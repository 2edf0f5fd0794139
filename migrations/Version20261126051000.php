<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126051000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Parts from other patterns, cloth for single pieces, the ease wanted, and standing facts of people';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE project ADD COLUMN parts CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE project_option ADD COLUMN parts CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE project ADD COLUMN changes INTEGER DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE project_option ADD COLUMN changes INTEGER DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE claim ADD COLUMN pieces CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE season ADD COLUMN undated BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql("ALTER TABLE project ADD COLUMN pictures CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE project ADD COLUMN ease BIGINT DEFAULT NULL');
        $this->addSql("ALTER TABLE person ADD COLUMN facts CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE project DROP COLUMN parts');
        $this->addSql('ALTER TABLE project_option DROP COLUMN parts');
        $this->addSql('ALTER TABLE project DROP COLUMN changes');
        $this->addSql('ALTER TABLE project_option DROP COLUMN changes');
        $this->addSql('ALTER TABLE claim DROP COLUMN pieces');
        $this->addSql('ALTER TABLE season DROP COLUMN undated');
        $this->addSql('ALTER TABLE project DROP COLUMN pictures');
        $this->addSql('ALTER TABLE project DROP COLUMN ease');
        $this->addSql('ALTER TABLE person DROP COLUMN facts');
    }
}
