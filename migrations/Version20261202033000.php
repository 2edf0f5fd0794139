<?php

declare(strict_types=1);

namespace Octavum\Migrations;

use Doctrine\DBAL\ParameterType;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202033000 extends AbstractMigration
{
    /** The classes that changes were kept of until now, and their tables. */
    private const TABLES = [
        'Octavum\Account\Account' => 'account',
        'Octavum\Files\FileRecord' => 'file',
        'Octavum\Store\ClothRecord' => 'cloth',
        'Octavum\Store\CutRecord' => 'cut',
        'Octavum\Store\LayRecord' => 'lay',
        'Octavum\Store\NotionRecord' => 'notion',
        'Octavum\Store\OverruleRecord' => 'overrule',
        'Octavum\Store\PatternRecord' => 'pattern',
        'Octavum\Store\PieceSetRecord' => 'piece_set',
        'Octavum\Store\VersionRecord' => 'version',
        'Octavum\Store\PersonRecord' => 'person',
        'Octavum\Store\ClaimRecord' => 'claim',
        'Octavum\Store\CopyRecord' => 'project_copy',
        'Octavum\Store\ListRecord' => 'sewing_list',
        'Octavum\Store\OptionRecord' => 'project_option',
        'Octavum\Store\ProjectRecord' => 'project',
        'Octavum\Store\SeasonRecord' => 'season',
    ];

    public function getDescription(): string
    {
        return 'Changes that can be undone name a record by its table';
    }

    public function up(Schema $schema): void
    {
        foreach ($this->connection->iterateKeyValue('SELECT "key", changes FROM undo') as $key => $changes) {
            $renamed = preg_replace_callback(
                '/s:\d+:"(Octavum(?:\\\\\w+)+) ([0-9A-Z]{26})"/',
                static function (array $name): string {
                    $row = (self::TABLES[$name[1]] ?? '').' '.$name[2];

                    return \sprintf('s:%d:"%s"', \strlen($row), $row);
                },
                \is_string($changes) ? $changes : '',
            );
            $this->addSql(
                'UPDATE undo SET changes = ? WHERE "key" = ?',
                [$renamed, $key],
                [ParameterType::LARGE_OBJECT, ParameterType::STRING],
            );
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DELETE FROM undo');
    }
}
