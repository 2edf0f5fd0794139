<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Arrows run down the lists of Layers, in both trees, for all classes; documented types count. */
final class LayersRules
{
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

    #[TestRule]
    public function theEngineIsTheLaysOwn(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Octavum'))
            ->excluding(Selector::inNamespace('Octavum\Core\Lay'), Selector::inNamespace('Octavum\Core\Tests'))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::inNamespace('Octavum\Core\Lay\Engine'))
            ->because('the search is internal: ask the face of Lay');
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function arrowsRunDown(): iterable
    {
        foreach (Layers::TREES as $tree => [$prefix]) {
            $parts = Layers::parts($tree);
            foreach (\array_slice($parts, 0, -1) as $i => $part) {
                yield $prefix.'\\'.$part => PHPat::rule()
                    ->classes(self::part($prefix, $part))
                    ->shouldNot()
                    ->dependOn()
                    ->classes(...array_map(static fn (string $later) => self::part($prefix, $later), \array_slice($parts, $i + 1)))
                    ->because('arrows run down the list of parts');
            }
        }
    }

    /** @return iterable<string, Rule> */
    #[TestRule]
    public function roomsNeverKnowOneAnother(): iterable
    {
        $rooms = array_values(array_filter(Layers::parts('src'), static fn (string $part): bool => str_starts_with($part, 'Room\\')));
        foreach ($rooms as $room) {
            yield $room => PHPat::rule()
                ->classes(self::part('Octavum', $room))
                ->shouldNot()
                ->dependOn()
                ->classes(
                    ...array_map(
                        static fn (string $other) => self::part('Octavum', $other),
                        array_values(array_filter($rooms, static fn (string $other): bool => !str_starts_with($other.'\\', $room.'\\'))),
                    ),
                )
                ->because('rooms never know one another');
        }
    }

    /** Classes of a part, without those of a part within it. */
    private static function part(string $prefix, string $part): SelectorInterface
    {
        $parts = Layers::parts('Octavum\Core' === $prefix ? 'core/src' : 'src');
        $within = array_filter($parts, static fn (string $other): bool => str_starts_with($other, $part.'\\'));
        $name = preg_quote($prefix.'\\'.$part, '/');
        $but = implode('|', array_map(static fn (string $other): string => preg_quote(substr($other, \strlen($part) + 1), '/'), $within));

        return Selector::classname('/^'.$name.'(?:$|\\\\'.('' === $but ? '' : '(?!(?:'.$but.')\\\\)').')/', true);
    }
}
