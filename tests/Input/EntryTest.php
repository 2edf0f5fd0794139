<?php

declare(strict_types=1);

namespace Octavum\Tests\Input;

use Octavum\Core\Project\Certainty;
use Octavum\Input\Entry;
use Octavum\Input\Names;
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
        foreach (
            [
                '' => null,
                '2' => 120,
                '1.5' => 90,
                '1,5 h' => 90,
                '2½' => 150,
                '1 h 30' => 90,
                '1:15' => 75,
                '45 min' => 45,
                '3 hours' => 180,
                '0' => 0,
                'ages' => null,
                '-2' => null,
                '101' => null,
                '.' => null,
            ] as $text => $minutes
        ) {
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

    public function testHoursAndPricesReadBackAsTheyAreShown(): void
    {
        foreach ([0 => '0', 45 => '0.75', 90 => '1.5', 6000 => '100'] as $minutes => $shown) {
            self::assertSame($shown, Entry::hours($minutes));
            self::assertSame($minutes, (new Entry(['hours' => $shown]))->minutes('hours', 6000));
        }
        foreach ([0 => '0.00', 5 => '0.05', 1280 => '12.80', 9_999_999 => '99999.99'] as $coins => $shown) {
            self::assertSame($shown, Entry::price($coins));
            self::assertSame($coins, (new Entry(['price' => $shown]))->money('price'));
        }
        self::assertSame(['', ''], [Entry::hours(null), Entry::price(null)]);
    }

    #[DataProvider('days')]
    public function testADayIsOneThatIsInTheCalendar(string $text, bool $isOne): void
    {
        $entry = new Entry(['on' => $text]);
        self::assertSame($isOne ? $text : null, $entry->date('on')?->format('Y-m-d'));
        self::assertSame($isOne || '' === $text ? 200 : 422, $entry->status());
    }

    /** @return iterable<string, array{string, bool}> */
    public static function days(): iterable
    {
        foreach (
            [
                '' => false,
                '2027-03-01' => true,
                '2028-02-29' => true,
                '2027-02-29' => false,
                '2027-13-01' => false,
                '01.13.2027.' => false,
                'soon' => false,
                '0027-03-01' => false,
            ] as $text => $isOne
        ) {
            yield 'day: '.$text => [$text, $isOne];
        }
    }

    #[DataProvider('ranks')]
    public function testAWholeNumberKeepsWithinItsBounds(string $text, ?int $number): void
    {
        $entry = new Entry(['rank' => $text]);
        self::assertSame($number, $entry->integer('rank', 1, 1000));
        self::assertSame(null === $number && '' !== $text, isset($entry->faults()['rank']));
    }

    /** @return iterable<string, array{string, ?int}> */
    public static function ranks(): iterable
    {
        yield 'nothing' => ['', null];
        yield 'the least' => ['1', 1];
        yield 'the most' => ['1000', 1000];
        yield 'too little' => ['0', null];
        yield 'too much' => ['1001', null];
        yield 'negative' => ['-3', null];
        yield 'a part' => ['2.5', null];
        yield 'beyond any number' => ['99999999999999999999', null];
    }

    public function testALongTextIsAFaultAndSaysHowMuchCanBeKept(): void
    {
        $entry = new Entry(['notes' => str_repeat('ø', 61)]);
        self::assertSame(60, mb_strlen($entry->text('notes', 60)));
        self::assertStringContainsString('61 characters; 60 can be kept', (string) $entry->faults()['notes']);
    }

    public function testATakenNameIsCounted(): void
    {
        self::assertSame('Moss twill', Names::free('Moss twill', []));
        self::assertSame('Moss twill (3)', Names::free('Moss twill', ['Moss twill' => 1, 'Moss twill (2)' => 1]));
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
        $entry = new Entry([
            'a' => ['b' => ['c' => " deep \r\n down "]],
            'bytes' => "a\x00b\xffc",
            'list' => 'x, y;;z',
            'rows' => 'no rows',
            'choice' => 'maybe',
        ]);
        self::assertSame("deep \n down", $entry->raw('a.b.c'));
        self::assertSame('', $entry->raw('a'));
        self::assertSame('ab?c', $entry->raw('bytes'));
        self::assertSame(['x', 'y', 'z'], $entry->texts('list', 5));
        self::assertSame([], $entry->rows('rows'));
        self::assertSame(Certainty::Maybe, $entry->choice('choice', Certainty::class));
    }
}
