<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126035000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a version has, and what people like';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE version ADD COLUMN features CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE person ADD COLUMN likings CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE version DROP COLUMN features');
        $this->addSql('ALTER TABLE person DROP COLUMN likings');
    }
}
