<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Notions.
 */
final class Version20261130000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Notions';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE notion (id VARCHAR(26) NOT NULL, account_id VARCHAR(26) NOT NULL, kind VARCHAR(255) NOT NULL, measure BIGINT DEFAULT NULL, number INTEGER DEFAULT NULL, length BIGINT DEFAULT NULL, name VARCHAR(120) NOT NULL, place VARCHAR(120) NOT NULL, notes CLOB NOT NULL, removed_at DATETIME DEFAULT NULL, revision INTEGER DEFAULT 1 NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_F08A8D0B9B6B5FBA FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_F08A8D0B9B6B5FBA17D4E1A9 ON notion (account_id, removed_at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE notion');
    }
}
