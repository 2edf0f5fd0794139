<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The workbook: steps, times, states and verdicts of a project; what a cut took; a season planned by a count';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE project ADD COLUMN sewing CLOB NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE project ADD COLUMN purpose VARCHAR(255) DEFAULT NULL');
        $this->addSql("ALTER TABLE project ADD COLUMN occasion VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE project ADD COLUMN toile BOOLEAN DEFAULT NULL');
        $this->addSql('ALTER TABLE claim ADD COLUMN used BIGINT DEFAULT NULL');
        $this->addSql('ALTER TABLE claim ADD COLUMN asked BIGINT DEFAULT NULL');
        $this->addSql('ALTER TABLE season ADD COLUMN most INTEGER DEFAULT NULL');
        $this->states(['begun' => 'sewing', 'finished' => 'done', 'let go' => 'given up']);
    }

    public function down(Schema $schema): void
    {
        foreach (['sewing', 'purpose', 'occasion', 'toile'] as $column) {
            $this->addSql('ALTER TABLE project DROP COLUMN '.$column);
        }
        $this->addSql('ALTER TABLE claim DROP COLUMN used');
        $this->addSql('ALTER TABLE claim DROP COLUMN asked');
        $this->addSql('ALTER TABLE season DROP COLUMN most');
        $this->states([
            'sewing' => 'begun', 'finishing' => 'begun', 'cut' => 'begun', 'done' => 'finished', 'given up' => 'let go',
            'idea' => 'planned', 'ready to cut' => 'planned', 'resting' => 'planned',
        ]);
    }

    /** @param array<string, string> $words former → new */
    private function states(array $words): void
    {
        foreach ($words as $former => $new) {
            $this->addSql('UPDATE project SET state = ? WHERE state = ?', [$new, $former]);
        }
    }
}
