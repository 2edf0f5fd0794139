<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The order of the core's parts: each knows those before it, none knows those after it, and nobody the application.
 * In the application, a room's controllers do not reach into another room's repository.
 */
final class LayersRules
{
    private const ROOMS = ['Cloth', 'Pattern', 'People', 'Notions', 'Season', 'Shopping', 'Find', 'Exchange', 'Table'];
    private const PARTS = ['Measure', 'Colour', 'Lay', 'Svg', 'Cloth', 'Haul', 'Notion', 'Body', 'Pattern', 'Need', 'Remedy', 'Season', 'Shopping', 'Find', 'Workroom'];

    #[TestRule]
    public function coreStandsAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Octavum\Core'))
            ->excluding(Selector::inNamespace('Octavum\Core\Tests'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Octavum\Core'), Selector::isStandardClass())
            ->because('the core is PHP and itself: no framework, database, HTTP or clock');
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function repositoriesStayInTheirRoom(): iterable
    {
        foreach (self::ROOMS as $room) {
            yield $room => PHPat::rule()
                ->classes(Selector::classname('/^Octavum\\\\'.$room.'\\\\\w+Controller$/', true))
                ->shouldNot()->dependOn()
                ->classes(...array_map(static fn (string $other) => Selector::classname('/^Octavum\\\\'.$other.'\\\\\w+Repository$/', true), array_values(array_diff(self::ROOMS, [$room]))))
                ->because('a room asks another room’s service, not its repository');
        }
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function arrowsRunDown(): iterable
    {
        foreach (self::PARTS as $i => $part) {
            $later = \array_slice(self::PARTS, $i + 1);
            if ([] !== $later) {
                yield $part => PHPat::rule()
                    ->classes(Selector::inNamespace('Octavum\Core\\'.$part))
                    ->shouldNot()->dependOn()
                    ->classes(...array_map(static fn (string $name) => Selector::inNamespace('Octavum\Core\\'.$name), $later))
                    ->because('inside the core, arrows run down the list of parts');
            }
        }
    }
}
