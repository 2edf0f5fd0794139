<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A notion that is ordered has a day on which it comes';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE notion ADD COLUMN expected DATE DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE notion DROP COLUMN expected');
    }
}
