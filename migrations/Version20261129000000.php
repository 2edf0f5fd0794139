<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Photos, sets and care labels of cloth, and files of patterns.
 */
final class Version20261129000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Photos, sets and care labels of cloth, and files of patterns';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE file (id VARCHAR(26) NOT NULL, account_id VARCHAR(26) NOT NULL, name VARCHAR(120) NOT NULL, kind VARCHAR(255) NOT NULL, bytes INTEGER NOT NULL, colours CLOB NOT NULL, removed_at DATETIME DEFAULT NULL, PRIMARY KEY (id), CONSTRAINT FK_8C9F36109B6B5FBA FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_8C9F36109B6B5FBA17D4E1A9 ON file (account_id, removed_at)');
        $this->addSql('ALTER TABLE cloth ADD COLUMN photo VARCHAR(26) DEFAULT NULL');
        $this->addSql("ALTER TABLE cloth ADD COLUMN kept_with VARCHAR(60) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE cloth ADD COLUMN care VARCHAR(120) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE pattern ADD COLUMN files CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE pattern DROP COLUMN files');
        foreach (['photo', 'kept_with', 'care'] as $column) {
            $this->addSql('ALTER TABLE cloth DROP COLUMN '.$column);
        }
        $this->addSql('DROP TABLE file');
    }
}
