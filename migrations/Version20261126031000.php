<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126031000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Several at once under one project';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
            CREATE TABLE project_copy (
                size VARCHAR(20) DEFAULT NULL,
                graded_to VARCHAR(20) DEFAULT NULL,
                id VARCHAR(26) NOT NULL,
                person_id VARCHAR(26) DEFAULT NULL REFERENCES person (id) ON DELETE SET NULL,
                project_id VARCHAR(26) NOT NULL REFERENCES project (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql('CREATE INDEX project_copy_person ON project_copy (person_id)');
        $this->addSql('CREATE INDEX project_copy_project ON project_copy (project_id)');
        $this->addSql('ALTER TABLE claim ADD COLUMN copy_id VARCHAR(26) DEFAULT NULL REFERENCES project_copy (id) ON DELETE CASCADE');
        $this->addSql('CREATE INDEX claim_copy ON claim (copy_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DELETE FROM claim WHERE copy_id IS NOT NULL');
        $this->addSql('DROP INDEX claim_copy');
        $this->addSql('ALTER TABLE claim DROP COLUMN copy_id');
        $this->addSql('DROP TABLE project_copy');
    }
}
