<?php

declare(strict_types=1);

namespace Octavum\Tests\Input;

use Octavum\Core\Season\Certainty;
use Octavum\Input\Entry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EntryTest extends TestCase
{
    #[DataProvider('hours')]
    public function testHoursAsPeopleWriteThem(string $text, ?int $minutes): void
    {
        $entry = new Entry(['hours' => $text]);
        self::assertSame($minutes, $entry->minutes('hours', 6000));
        self::assertSame(null !== $minutes || '' === $text, $entry->isSound());
    }

    /** @return iterable<string, array{string, ?int}> */
    public static function hours(): iterable
    {
        foreach (['' => null, '2' => 120, '1.5' => 90, '1,5 h' => 90, '2½' => 150, '1 h 30' => 90, '1:15' => 75, '45 min' => 45, '3 hours' => 180, '0' => 0, 'ages' => null, '-2' => null, '101' => null, '.' => null] as $text => $minutes) {
            yield 'hours: '.$text => [(string) $text, $minutes];
        }
    }

    public function testPricesAndShares(): void
    {
        $entry = new Entry(['a' => '12,80', 'b' => '€ 5', 'c' => '4 %', 'd' => '2,5', 'e' => '1e9', 'f' => '101']);
        self::assertSame([1280, 500], [$entry->money('a'), $entry->money('b')]);
        self::assertSame(['4 %', '2.5 %'], [(string) $entry->percent('c'), (string) $entry->percent('d')]);
        self::assertTrue($entry->isSound());
        self::assertNull($entry->money('e'));
        self::assertNull($entry->percent('f'));
        self::assertSame(['e', 'f'], array_keys($entry->faults()));
    }

    public function testTheFirstFaultOfAFieldStands(): void
    {
        $entry = new Entry(['name' => '']);
        $entry->name('name');
        $entry->fault('name', new \Octavum\Core\Measure\Sentence('Another.'));
        self::assertStringContainsString('A name is missing', (string) $entry->faults()['name']);
    }

    public function testTextsOfStrangeShapeAndBytes(): void
    {
        $entry = new Entry(['a' => ['b' => ['c' => " deep \r\n down "]], 'bytes' => "a\x00b\xffc", 'list' => 'x, y;;z', 'rows' => 'no rows', 'choice' => 'maybe']);
        self::assertSame("deep \n down", $entry->raw('a.b.c'));
        self::assertSame('', $entry->raw('a'));
        self::assertSame('ab?c', $entry->raw('bytes'));
        self::assertSame(['x', 'y', 'z'], $entry->texts('list', 5));
        self::assertSame([], $entry->rows('rows'));
        self::assertSame(Certainty::Maybe, $entry->choice('choice', Certainty::class));
    }
}
