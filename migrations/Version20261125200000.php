<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The first schema: nothing was released before it. */
final class Version20261125200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Every table';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
            CREATE TABLE account (
                email VARCHAR(180) NOT NULL,
                password VARCHAR(255) NOT NULL,
                name VARCHAR(120) NOT NULL,
                demo BOOLEAN NOT NULL,
                settings CLOB NOT NULL,
                filters CLOB DEFAULT '[]' NOT NULL,
                season VARCHAR(26) DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_7D3656A4E7927C74 ON account (email)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE cloth (
                name VARCHAR(120) NOT NULL,
                width BIGINT DEFAULT NULL,
                selvage BIGINT DEFAULT NULL,
                structure VARCHAR(255) DEFAULT NULL,
                type VARCHAR(255) DEFAULT NULL,
                fibres CLOB NOT NULL,
                fibres_known VARCHAR(255) NOT NULL,
                grams INTEGER DEFAULT NULL,
                weight VARCHAR(255) DEFAULT NULL,
                print VARCHAR(255) NOT NULL,
                direction VARCHAR(255) DEFAULT NULL,
                repeat_length BIGINT DEFAULT NULL,
                shrink_along INTEGER DEFAULT NULL,
                shrink_across INTEGER DEFAULT NULL,
                colours CLOB NOT NULL,
                place VARCHAR(120) NOT NULL,
                price_per_metre INTEGER DEFAULT NULL,
                more_to_be_had BOOLEAN DEFAULT NULL,
                set_aside BOOLEAN NOT NULL,
                feel CLOB DEFAULT '[]' NOT NULL,
                photo VARCHAR(26) DEFAULT NULL,
                kept_with VARCHAR(60) DEFAULT '' NOT NULL,
                care VARCHAR(255) DEFAULT NULL,
                family VARCHAR(255) DEFAULT NULL,
                tests CLOB DEFAULT '[]' NOT NULL,
                notes CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_22F16BBE9B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_22F16BBE9B6B5FBA455180A5 ON cloth (account_id, removed_at)');
        $this->addSql('CREATE INDEX IDX_22F16BBE9B6B5FBA ON cloth (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE pattern (
                changes INTEGER NOT NULL,
                title VARCHAR(120) NOT NULL,
                maker VARCHAR(120) NOT NULL,
                number VARCHAR(60) NOT NULL,
                other_numbers CLOB NOT NULL,
                garment VARCHAR(255) NOT NULL,
                format VARCHAR(255) NOT NULL,
                ownership VARCHAR(255) NOT NULL,
                only_for VARCHAR(255) DEFAULT NULL,
                minutes INTEGER DEFAULT NULL,
                place VARCHAR(120) NOT NULL,
                notes CLOB NOT NULL,
                editions CLOB NOT NULL,
                chart CLOB DEFAULT '[]' NOT NULL,
                details CLOB DEFAULT '[]' NOT NULL,
                files CLOB DEFAULT '[]' NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_A3BCFC8E9B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_A3BCFC8E9B6B5FBA455180A5 ON pattern (account_id, removed_at)');
        $this->addSql('CREATE INDEX IDX_A3BCFC8E9B6B5FBA ON pattern (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE cut (
                label VARCHAR(60) NOT NULL,
                state VARCHAR(255) NOT NULL,
                expected DATETIME DEFAULT NULL,
                ledger CLOB NOT NULL,
                bites CLOB DEFAULT '[]' NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                cloth_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_B0F094FDE53266EE FOREIGN KEY (cloth_id)
                REFERENCES cloth (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_B0F094FDE53266EE ON cut (cloth_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE season (
                name VARCHAR(120) NOT NULL,
                starts DATETIME NOT NULL,
                weeks INTEGER NOT NULL,
                minutes_per_week INTEGER NOT NULL,
                notes CLOB NOT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                id VARCHAR(26) NOT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_F0E45BA99B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_F0E45BA99B6B5FBA ON season (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE claim (
                role VARCHAR(255) NOT NULL,
                buy CLOB DEFAULT NULL,
                stated BIGINT DEFAULT NULL,
                cut_out BOOLEAN NOT NULL,
                id VARCHAR(26) NOT NULL,
                cut_id VARCHAR(26) DEFAULT NULL,
                lay_id VARCHAR(26) DEFAULT NULL,
                project_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_A769DE2773CD9801 FOREIGN KEY (cut_id)
                REFERENCES cut (id) ON DELETE SET NULL NOT DEFERRABLE INITIALLY IMMEDIATE,
                CONSTRAINT FK_A769DE27E591C34B FOREIGN KEY (lay_id)
                REFERENCES lay (id) ON DELETE SET NULL NOT DEFERRABLE INITIALLY IMMEDIATE,
                CONSTRAINT FK_A769DE27166D1F9C FOREIGN KEY (project_id)
                REFERENCES project (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_A769DE2773CD9801 ON claim (cut_id)');
        $this->addSql('CREATE INDEX IDX_A769DE27E591C34B ON claim (lay_id)');
        $this->addSql('CREATE INDEX IDX_A769DE27166D1F9C ON claim (project_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE project (
                name VARCHAR(120) NOT NULL,
                place_in_rank INTEGER NOT NULL,
                size VARCHAR(20) DEFAULT NULL,
                graded_to VARCHAR(20) DEFAULT NULL,
                certainty VARCHAR(255) NOT NULL,
                state VARCHAR(255) NOT NULL,
                deadline DATETIME DEFAULT NULL,
                minutes INTEGER DEFAULT NULL,
                alterations CLOB NOT NULL,
                notes CLOB NOT NULL,
                notions_taken BOOLEAN DEFAULT 0 NOT NULL,
                matching VARCHAR(255) DEFAULT NULL,
                left_out CLOB DEFAULT '[]' NOT NULL,
                declined CLOB DEFAULT '[]' NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                person_id VARCHAR(26) DEFAULT NULL,
                version_id VARCHAR(26) DEFAULT NULL,
                season_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_2FB3D0EE217BBB47 FOREIGN KEY (person_id)
                REFERENCES person (id) ON DELETE SET NULL NOT DEFERRABLE INITIALLY IMMEDIATE,
                CONSTRAINT FK_2FB3D0EE4BBC2705 FOREIGN KEY (version_id)
                REFERENCES version (id) ON DELETE SET NULL NOT DEFERRABLE INITIALLY IMMEDIATE,
                CONSTRAINT FK_2FB3D0EE4EC001D1 FOREIGN KEY (season_id)
                REFERENCES season (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_2FB3D0EE217BBB47 ON project (person_id)');
        $this->addSql('CREATE INDEX IDX_2FB3D0EE4BBC2705 ON project (version_id)');
        $this->addSql('CREATE INDEX IDX_2FB3D0EE4EC001D1 ON project (season_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE version (
                name VARCHAR(60) NOT NULL,
                sizes CLOB NOT NULL,
                requirements CLOB NOT NULL,
                printed VARCHAR(255) DEFAULT NULL,
                marks CLOB DEFAULT '[]' NOT NULL,
                widest CLOB DEFAULT '[]' NOT NULL,
                notions CLOB NOT NULL,
                minutes INTEGER DEFAULT NULL,
                notes CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                pattern_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_BF1CD3C3F734A20F FOREIGN KEY (pattern_id)
                REFERENCES pattern (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_BF1CD3C3F734A20F ON version (pattern_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE piece_set (
                pieces CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                version_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_5509695A4BBC2705 FOREIGN KEY (version_id)
                REFERENCES version (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE UNIQUE INDEX UNIQ_5509695A4BBC2705 ON piece_set (version_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE file (
                name VARCHAR(120) NOT NULL,
                kind VARCHAR(255) NOT NULL,
                bytes INTEGER NOT NULL,
                colours CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_8C9F36109B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_8C9F36109B6B5FBA455180A5 ON file (account_id, removed_at)');
        $this->addSql('CREATE INDEX IDX_8C9F36109B6B5FBA ON file (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE person (
                name VARCHAR(120) NOT NULL,
                child BOOLEAN NOT NULL,
                notes CLOB NOT NULL,
                measured CLOB DEFAULT '[]' NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_34DCD1769B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_34DCD1769B6B5FBA ON person (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE lay (
                name VARCHAR(120) NOT NULL,
                lay CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_EBB378289B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_EBB378289B6B5FBA455180A5 ON lay (account_id, removed_at)');
        $this->addSql('CREATE INDEX IDX_EBB378289B6B5FBA ON lay (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE sign_in_attempts (
                "key" VARCHAR(64) NOT NULL,
                failures INTEGER NOT NULL,
                last DATETIME NOT NULL,
                PRIMARY KEY ("key")
            )
            SQL,
        );
        $this->addSql(
            <<<'SQL'
            CREATE TABLE notion (
                kind VARCHAR(255) NOT NULL,
                measure BIGINT DEFAULT NULL,
                number INTEGER DEFAULT NULL,
                length BIGINT DEFAULT NULL,
                name VARCHAR(120) NOT NULL,
                place VARCHAR(120) NOT NULL,
                notes CLOB NOT NULL,
                id VARCHAR(26) NOT NULL,
                removed_at DATETIME DEFAULT NULL,
                revision INTEGER DEFAULT 1 NOT NULL,
                account_id VARCHAR(26) NOT NULL,
                PRIMARY KEY (id),
                CONSTRAINT FK_736AD3469B6B5FBA FOREIGN KEY (account_id)
                REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE
            )
            SQL,
        );
        $this->addSql('CREATE INDEX IDX_736AD3469B6B5FBA455180A5 ON notion (account_id, removed_at)');
        $this->addSql('CREATE INDEX IDX_736AD3469B6B5FBA ON notion (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE visit (
                id VARCHAR(64) NOT NULL,
                account_id VARCHAR(26) DEFAULT NULL,
                data BLOB NOT NULL,
                began INTEGER NOT NULL,
                seen INTEGER NOT NULL,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql('CREATE INDEX visit_account ON visit (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE rememberme_token (
                series VARCHAR(88) NOT NULL,
                value VARCHAR(88) NOT NULL,
                lastUsed DATETIME NOT NULL,
                class VARCHAR(100) DEFAULT '' NOT NULL,
                username VARCHAR(200) NOT NULL,
                PRIMARY KEY (series)
            )
            SQL,
        );
        $this->addSql(
            <<<'SQL'
            CREATE TABLE undo (
                "key" VARCHAR(26) NOT NULL,
                account_id VARCHAR(26) NOT NULL REFERENCES account (id) ON DELETE CASCADE,
                changes BLOB NOT NULL,
                PRIMARY KEY ("key")
            )
            SQL,
        );
        $this->addSql('CREATE INDEX undo_account ON undo (account_id)');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE replaced (
                "key" VARCHAR(26) NOT NULL,
                account_id VARCHAR(26) NOT NULL REFERENCES account (id) ON DELETE CASCADE,
                workroom CLOB NOT NULL,
                PRIMARY KEY ("key")
            )
            SQL,
        );
        $this->addSql('CREATE INDEX replaced_account ON replaced (account_id)');
    }

    public function down(Schema $schema): void
    {
        foreach (
            [
                'replaced',
                'undo',
                'rememberme_token',
                'visit',
                'notion',
                'sign_in_attempts',
                'lay',
                'person',
                'file',
                'piece_set',
                'version',
                'project',
                'claim',
                'season',
                'cut',
                'pattern',
                'cloth',
                'account',
            ] as $table
        ) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
