<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126125000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A private address for calendars';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE account ADD COLUMN feed VARCHAR(40) DEFAULT NULL');
        $this->addSql('CREATE UNIQUE INDEX account_feed ON account (feed)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX account_feed');
        $this->addSql('ALTER TABLE account DROP COLUMN feed');
    }
}
