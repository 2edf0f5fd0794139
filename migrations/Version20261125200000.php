<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Visits, what is kept to undo, and the workroom an import replaced';
    }

    public function up(Schema $schema): void
    {
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
        $this->addSql('INSERT INTO replaced ("key", account_id, workroom) SELECT id, id, replaced FROM account WHERE replaced IS NOT NULL');
        $this->addSql('ALTER TABLE account DROP COLUMN replaced');
        $this->addSql('ALTER TABLE person DROP COLUMN measured_before');
        $this->addSql('ALTER TABLE account ADD COLUMN revision INTEGER DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE season ADD COLUMN revision INTEGER DEFAULT 1 NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE account ADD COLUMN replaced CLOB DEFAULT NULL');
        $this->addSql('ALTER TABLE person ADD COLUMN measured_before CLOB DEFAULT NULL');
        $this->addSql('ALTER TABLE account DROP COLUMN revision');
        $this->addSql('ALTER TABLE season DROP COLUMN revision');
        foreach (['visit', 'rememberme_token', 'undo', 'replaced'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
