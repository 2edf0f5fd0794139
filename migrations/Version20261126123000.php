<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126123000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What is said at the gate before cutting';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE claim ADD COLUMN gate CLOB NOT NULL DEFAULT '[]'");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE claim DROP COLUMN gate');
    }
}
