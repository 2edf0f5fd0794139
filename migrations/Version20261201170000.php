<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A change that was undone stays, marked so, with its sentence; and each form that was sent, so that it counts once';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE undo ADD COLUMN undone BOOLEAN DEFAULT 0 NOT NULL');
        $this->addSql('ALTER TABLE undo ADD COLUMN says CLOB DEFAULT NULL');
        $this->addSql(
            <<<'SQL'
            CREATE TABLE once (
                row VARCHAR(32) NOT NULL,
                pressed_at INTEGER NOT NULL,
                led VARCHAR(2000) DEFAULT NULL,
                PRIMARY KEY (row)
            )
            SQL,
        );
        $this->addSql('CREATE INDEX once_pressed ON once (pressed_at)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE once');
        $this->addSql('ALTER TABLE undo DROP COLUMN says');
        $this->addSql('ALTER TABLE undo DROP COLUMN undone');
    }
}
