<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201134500 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A cloth may be marked as precious';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cloth ADD COLUMN precious BOOLEAN DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE cloth DROP COLUMN precious');
    }
}
