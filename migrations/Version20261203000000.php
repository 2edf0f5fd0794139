<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Whether a project's notions are taken out of the tins.
 */
final class Version20261203000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Whether a project\'s notions are taken out of the tins';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE project ADD COLUMN notions_taken BOOLEAN DEFAULT 0 NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE project DROP COLUMN notions_taken');
    }
}
