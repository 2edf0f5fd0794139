<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Pattern pieces, saved lays, and what is missing from an irregular cut.
 */
final class Version20261126000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Pattern pieces, saved lays, and what is missing from an irregular cut';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE lay (id VARCHAR(26) NOT NULL, revision INTEGER DEFAULT 1 NOT NULL, removed_at DATETIME DEFAULT NULL, name VARCHAR(120) NOT NULL, lay CLOB NOT NULL, account_id VARCHAR(26) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_EBB378289B6B5FBA FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_EBB378289B6B5FBA455180A5 ON lay (account_id, removed_at)');
        $this->addSql('CREATE INDEX IDX_EBB378289B6B5FBA ON lay (account_id)');
        $this->addSql('CREATE TABLE piece_set (id VARCHAR(26) NOT NULL, revision INTEGER DEFAULT 1 NOT NULL, pieces CLOB NOT NULL, version_id VARCHAR(26) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_5509695A4BBC2705 FOREIGN KEY (version_id) REFERENCES version (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_5509695A4BBC2705 ON piece_set (version_id)');
        $this->addSql('ALTER TABLE claim ADD COLUMN lay_id VARCHAR(26) DEFAULT NULL CONSTRAINT FK_A769DE27E591C34B REFERENCES lay (id) ON DELETE SET NULL NOT DEFERRABLE INITIALLY IMMEDIATE');
        $this->addSql('CREATE INDEX IDX_A769DE27E591C34B ON claim (lay_id)');
        $this->addSql("ALTER TABLE version ADD COLUMN marks CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE cut ADD COLUMN bites CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX IDX_A769DE27E591C34B');
        $this->addSql('ALTER TABLE claim DROP COLUMN lay_id');
        $this->addSql('ALTER TABLE version DROP COLUMN marks');
        $this->addSql('ALTER TABLE cut DROP COLUMN bites');
        $this->addSql('DROP TABLE piece_set');
        $this->addSql('DROP TABLE lay');
    }
}
