<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A season can be removed, and put back';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE season ADD COLUMN removed_at DATETIME DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE season DROP COLUMN removed_at');
    }
}
