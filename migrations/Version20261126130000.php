<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126130000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Weeks without sewing';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE season ADD COLUMN off CLOB NOT NULL DEFAULT '[]'");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE season DROP COLUMN off');
    }
}
