<?php

declare(strict_types=1);

namespace Octavum\Tests\Store\Change;

use Octavum\Store\Change\FieldChange;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FieldChangeTest extends TestCase
{
    #[DataProvider('changes')]
    public function testWhatIsLeftOfAField(mixed $before, mixed $after, mixed $now, mixed $left, bool $isWhole, bool $counts = false): void
    {
        self::assertSame($left, FieldChange::without($now, $before, $after, $counts));
        self::assertSame($isWhole, FieldChange::isReversible($now, $before, $after, $counts));
    }

    /** @return iterable<string, array<int, mixed>> before, after, now, what is left, and whether that is all of the change */
    public static function changes(): iterable
    {
        yield 'as the change left it' => ['shelf', 'Attic', 'Attic', 'shelf', true];
        yield 'changed since' => ['shelf', 'Attic', 'box', 'box', false];
        yield 'an amount' => [7, 5, 4, 6, true, true];
        yield 'an amount that is no count' => [7, 5, 4, 4, false];
        yield 'an amount never falls below nothing' => [0, 5, 3, 0, true, true];
        yield 'an entry was added' => [['a'], ['a', 'b'], ['a', 'b', 'c'], ['a', 'c'], true];
        yield 'of two alike the later goes' => [['a'], ['a', 'a'], ['a', 'x', 'a'], ['a', 'x'], true];
        yield 'the entry that was added is gone already' => [['a'], ['a', 'b'], ['a', 'c'], ['a', 'c'], false];
        yield 'an entry was taken out' => [['a', 'b'], ['a'], ['a', 'c'], ['b', 'a', 'c'], true];
        $day = new \DateTimeImmutable('2026-12-01 10:00:00');
        yield 'a time, to the second' => [null, $day, new \DateTimeImmutable('2026-12-01 10:00:00.5'), null, true];
    }
}
