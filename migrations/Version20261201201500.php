<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201201500 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Rows that cannot be read are left out until they are mended';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            <<<'SQL'
            CREATE TABLE unreadable (
                id VARCHAR(26) NOT NULL,
                account_id VARCHAR(26) NOT NULL REFERENCES account (id) ON DELETE CASCADE,
                kind VARCHAR(40) NOT NULL,
                name VARCHAR(200) NOT NULL,
                why CLOB NOT NULL,
                PRIMARY KEY (id)
            )
            SQL,
        );
        $this->addSql('CREATE INDEX unreadable_account_id ON unreadable (account_id)');
        $this->addSql('ALTER TABLE account ADD COLUMN unreadable INTEGER DEFAULT 0 NOT NULL');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE mended (
                id INTEGER PRIMARY KEY AUTOINCREMENT,
                at VARCHAR(20) NOT NULL,
                row_id VARCHAR(26) NOT NULL,
                place VARCHAR(100) NOT NULL,
                was BLOB NOT NULL
            )
            SQL,
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE mended');
        $this->addSql('ALTER TABLE account DROP COLUMN unreadable');
        $this->addSql('DROP TABLE unreadable');
    }
}
