<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126021500 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Options of a project';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
            CREATE TABLE project_option (
                size VARCHAR(20) DEFAULT NULL,
                graded_to VARCHAR(20) DEFAULT NULL,
                minutes INTEGER DEFAULT NULL,
                alterations CLOB NOT NULL,
                matching VARCHAR(255) DEFAULT NULL,
                left_out CLOB DEFAULT '[]' NOT NULL,
                declined CLOB DEFAULT '[]' NOT NULL,
                hangs_on VARCHAR(200) DEFAULT '' NOT NULL,
                past BOOLEAN NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                version_id VARCHAR(26) DEFAULT NULL REFERENCES version (id) ON DELETE SET NULL,
                project_id VARCHAR(26) NOT NULL REFERENCES project (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql('CREATE INDEX project_option_version ON project_option (version_id)');
        $this->addSql('CREATE INDEX project_option_project ON project_option (project_id)');
        $this->addSql("ALTER TABLE project ADD COLUMN hangs_on VARCHAR(200) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE project ADD COLUMN decisions CLOB DEFAULT '[]' NOT NULL");
        $this->addSql('ALTER TABLE claim ADD COLUMN option_id VARCHAR(26) DEFAULT NULL REFERENCES project_option (id) ON DELETE CASCADE');
        $this->addSql('CREATE INDEX claim_option ON claim (option_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DELETE FROM claim WHERE option_id IS NOT NULL');
        $this->addSql('DROP INDEX claim_option');
        $this->addSql('ALTER TABLE claim DROP COLUMN option_id');
        $this->addSql('ALTER TABLE project DROP COLUMN hangs_on');
        $this->addSql('ALTER TABLE project DROP COLUMN decisions');
        $this->addSql('DROP TABLE project_option');
    }
}
