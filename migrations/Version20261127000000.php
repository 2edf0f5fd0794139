<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * How a cloth stretches, falls, hides and presses.
 */
final class Version20261127000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How a cloth stretches, falls, hides and presses';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE cloth ADD COLUMN feel CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cloth DROP COLUMN feel');
    }
}
