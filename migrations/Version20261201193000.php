<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Each table is written anew beside the old one and refers only to new ones, so that dropping the old ones takes nothing with them.
 * The option that was current gets its project's id.
 */
final class Version20261201193000 extends AbstractMigration
{
    private const PROJECT = 'name, place_in_rank, certainty, state, deadline, soft, not_before, ease, notes, notions_taken, decisions,
        pictures, sewing, purpose, occasion, toile, changes, id, removed_at, revision, person_id, season_id';

    private const OPTION = 'size, graded_to, minutes, alterations, matching, left_out, declined, hangs_on, parts, changes, version_id';

    private const CLAIM = 'role, buy, stated, cut_out, pieces, gate, used, asked, id, cut_id, lay_id, copy_id';

    public function getDescription(): string
    {
        return 'All options of a project are rows of their own; the project points to the current one. Undos of before are let go.';
    }

    public function up(Schema $schema): void
    {
        $this->createTables();
        $this->addSql('INSERT INTO project_new ('.self::PROJECT.') SELECT '.self::PROJECT.' FROM project');
        $this->addSql(
            'INSERT INTO project_option_new (id, project_id, past, revision, '.self::OPTION.')'
                .' SELECT id, id, 0, 1, '.self::OPTION.' FROM project',
        );
        $this->addSql(
            'INSERT INTO project_option_new (id, project_id, past, revision, removed_at, '.self::OPTION.')'
                .' SELECT id, project_id, past, revision, removed_at, '.self::OPTION.' FROM project_option',
        );
        $this->addSql('UPDATE project_new SET current_id = id');
        $this->addSql(
            'INSERT INTO project_copy_new (size, graded_to, id, person_id, option_id)'
                .' SELECT size, graded_to, id, person_id, (SELECT COALESCE(c.option_id, c.project_id) FROM claim c WHERE c.copy_id = o.id)'
                .' FROM project_copy o WHERE id IN (SELECT copy_id FROM claim)',
        );
        $this->addSql(
            'INSERT INTO claim_new (option_id, '.self::CLAIM.') SELECT COALESCE(option_id, project_id), '.self::CLAIM.' FROM claim',
        );
        foreach (['claim', 'project_copy', 'project_option', 'project'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        foreach (['project', 'project_option', 'project_copy', 'claim'] as $table) {
            $this->addSql('ALTER TABLE '.$table.'_new RENAME TO '.$table);
        }
        foreach (
            [
                'project' => ['person_id', 'current_id', 'season_id'],
                'project_option' => ['version_id', 'project_id'],
                'project_copy' => ['person_id', 'option_id'],
                'claim' => ['cut_id', 'lay_id', 'option_id', 'copy_id'],
            ] as $table => $columns
        ) {
            foreach ($columns as $column) {
                $this->addSql('CREATE INDEX '.$table.'_'.$column.' ON '.$table.' ('.$column.')');
            }
        }
        $this->addSql('DELETE FROM undo');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException();
    }

    private function createTables(): void
    {
        $this->addSql(
            <<<'SQL'
            CREATE TABLE project_new (
                name VARCHAR(120) NOT NULL,
                place_in_rank INTEGER NOT NULL,
                certainty VARCHAR(255) NOT NULL,
                state VARCHAR(255) NOT NULL,
                deadline DATETIME DEFAULT NULL,
                soft BOOLEAN DEFAULT 0 NOT NULL,
                not_before DATETIME DEFAULT NULL,
                ease BIGINT DEFAULT NULL,
                notes CLOB NOT NULL,
                notions_taken BOOLEAN DEFAULT 0 NOT NULL,
                decisions CLOB DEFAULT '[]' NOT NULL,
                pictures CLOB DEFAULT '[]' NOT NULL,
                sewing CLOB DEFAULT '[]' NOT NULL,
                purpose VARCHAR(255) DEFAULT NULL,
                occasion VARCHAR(200) DEFAULT '' NOT NULL,
                toile BOOLEAN DEFAULT NULL,
                changes INTEGER DEFAULT 0 NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                person_id VARCHAR(26) DEFAULT NULL REFERENCES person (id) ON DELETE SET NULL,
                current_id VARCHAR(26) DEFAULT NULL REFERENCES project_option_new (id) ON DELETE SET NULL,
                season_id VARCHAR(26) NOT NULL REFERENCES season (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql(
            <<<'SQL'
            CREATE TABLE project_option_new (
                size VARCHAR(20) DEFAULT NULL,
                graded_to VARCHAR(20) DEFAULT NULL,
                minutes INTEGER DEFAULT NULL,
                alterations CLOB NOT NULL,
                matching VARCHAR(255) DEFAULT NULL,
                left_out CLOB DEFAULT '[]' NOT NULL,
                declined CLOB DEFAULT '[]' NOT NULL,
                hangs_on VARCHAR(200) DEFAULT '' NOT NULL,
                parts CLOB DEFAULT '[]' NOT NULL,
                past BOOLEAN NOT NULL,
                changes INTEGER DEFAULT 0 NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                version_id VARCHAR(26) DEFAULT NULL REFERENCES version (id) ON DELETE SET NULL,
                project_id VARCHAR(26) NOT NULL REFERENCES project_new (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql(
            <<<'SQL'
            CREATE TABLE project_copy_new (
                size VARCHAR(20) DEFAULT NULL,
                graded_to VARCHAR(20) DEFAULT NULL,
                id VARCHAR(26) NOT NULL,
                person_id VARCHAR(26) DEFAULT NULL REFERENCES person (id) ON DELETE SET NULL,
                option_id VARCHAR(26) NOT NULL REFERENCES project_option_new (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql(
            <<<'SQL'
            CREATE TABLE claim_new (
                role VARCHAR(255) NOT NULL,
                buy CLOB DEFAULT NULL,
                stated BIGINT DEFAULT NULL,
                cut_out BOOLEAN NOT NULL,
                pieces CLOB DEFAULT '[]' NOT NULL,
                gate CLOB DEFAULT '[]' NOT NULL,
                used BIGINT DEFAULT NULL,
                asked BIGINT DEFAULT NULL,
                id VARCHAR(26) NOT NULL,
                cut_id VARCHAR(26) DEFAULT NULL REFERENCES cut (id) ON DELETE SET NULL,
                lay_id VARCHAR(26) DEFAULT NULL REFERENCES lay (id) ON DELETE SET NULL,
                option_id VARCHAR(26) NOT NULL REFERENCES project_option_new (id) ON DELETE CASCADE,
                copy_id VARCHAR(26) DEFAULT NULL REFERENCES project_copy_new (id) ON DELETE CASCADE,
                PRIMARY KEY (id)
            )
            SQL,
        );
    }
}
