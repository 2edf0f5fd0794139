<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Measure;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthFormatterTest extends TestCase
{
    #[DataProvider('figures')]
    public function testWritesInTheReadersUnits(string $expected, System $system, Figure $figure): void
    {
        self::assertSame($expected, (new LengthFormatter($system))->write($figure));
    }

    /** @return iterable<string, array{string, System, Figure}> */
    public static function figures(): iterable
    {
        $metres = Length::ofMetres(...);
        yield 'metres, owned' => ['2.34 m', System::Metric, Figure::owned($metres('2.342'))];
        yield 'metres, needed' => ['2.42 m', System::Metric, Figure::needed($metres('2.415'))];
        yield 'a shortfall rounds up' => ['8 cm', System::Metric, Figure::needed($metres('0.073'))];
        yield 'up to a whole metre' => ['1.00 m', System::Metric, Figure::needed($metres('0.991'))];
        yield 'down to nothing' => ['0 cm', System::Metric, Figure::owned($metres('0.009'))];
        yield 'a negative spare' => ['−26 cm', System::Metric, Figure::owned($metres('-0.258'))];
        yield 'the working is finer' => ['2.342 m', System::Metric, Figure::exact($metres('2.342'))];
        yield 'and keeps two places' => ['2.50 m', System::Metric, Figure::exact($metres('2.5'))];
        yield 'small in the working' => ['31.5 cm', System::Metric, Figure::exact($metres('0.315'))];
        yield 'a body, to the millimetre' => ['94.5 cm', System::Metric, Figure::body($metres('0.945'))];
        yield 'a body over a metre stays in centimetres' => ['104.5 cm', System::Metric, Figure::body($metres('1.045'))];
        yield 'a body in inches, to the nearest eighth' => ['37¼ in', System::Imperial, Figure::body($metres('0.945'))];
        yield 'a button' => ['25 mm', System::Metric, Figure::notion($metres('0.025'))];
        yield 'a zip' => ['57 cm', System::Metric, Figure::notion($metres('0.57'))];
        yield 'a button in inches' => ['⅝ in', System::Imperial, Figure::notion($metres('0.0159'))];
        yield 'a metric width' => ['137 cm', System::Metric, Figure::width($metres('1.37'))];
        yield 'yards, owned' => ['3⅜ yd', System::Imperial, Figure::owned($metres('3.1404'))];
        yield 'yards, needed' => ['3½ yd', System::Imperial, Figure::needed($metres('3.1404'))];
        yield 'whole yards' => ['2 yd', System::Imperial, Figure::needed(Length::of('2', Unit::Yard))];
        yield 'below half a yard' => ['10¼ in', System::Imperial, Figure::owned(Length::of('10.25', Unit::Inch))];
        yield 'half a yard' => ['½ yd', System::Imperial, Figure::needed(Length::of('17.99', Unit::Inch))];
        yield 'nothing' => ['0 in', System::Imperial, Figure::owned(Length::zero())];
        yield 'an imperial width' => ['54 in', System::Imperial, Figure::width(Length::of('54', Unit::Inch))];
        yield 'yards in the working' => ['3 yd 15⅝ in', System::Imperial, Figure::exact($metres('3.1404'))];
        yield 'inches in the working' => ['2⅜ in', System::Imperial, Figure::exact($metres('0.06'))];
    }

    public function testTheMarksOfATapeAreItsCentimetresOrItsEighths(): void
    {
        $metric = (new LengthFormatter(System::Metric))->marks(Length::ofMetres('1.015'));
        self::assertCount(102, $metric);
        self::assertEquals([[0, '0 cm'], [10, '1 cm']], \array_slice($metric, 0, 2));
        self::assertEquals([[990, '99 cm'], [1000, '1.00 m'], [1010, '1.01 m']], \array_slice($metric, -3));
        $imperial = (new LengthFormatter(System::Imperial))->marks(Length::of('1', Unit::Yard));
        self::assertEquals([[0, '0 in'], [3.175, '⅛ in'], [6.35, '¼ in']], \array_slice($imperial, 0, 3));
        self::assertEquals(
            [[454.025, '17⅞ in'], [457.2, '½ yd'], [571.5, '⅝ yd'], [685.8, '¾ yd'], [800.1, '⅞ yd'], [914.4, '1 yd']],
            \array_slice($imperial, -6),
        );
    }

    public function testWhatIsShownForTypingReadsBackTheSame(): void
    {
        self::assertSame(
            '2¾ yd',
            (new LengthFormatter(System::Metric))->typed(Length::of('2.75', Unit::Yard)),
            'typed in yards, shown in yards',
        );
        self::assertSame('2.5 m', (new LengthFormatter(System::Metric))->typed(Length::ofMetres('2.5')));
        self::assertSame('140 cm', (new LengthFormatter(System::Metric))->typed(Length::ofMetres('1.4'), small: true));
        self::assertSame('54 in', (new LengthFormatter(System::Imperial))->typed(Length::of('54', Unit::Inch), small: true));
        mt_srand(4);
        for ($i = 0; $i < 2000; ++$i) {
            $step = [1, 1000, 3175, 114_300][$i % 4];
            $length = Length::ofMicrometres(mt_rand(1, intdiv(Length::LONGEST, $step)) * $step);
            foreach (System::cases() as $system) {
                $typed = (new LengthFormatter($system))->typed($length);
                self::assertSame($length->micrometres, Length::parse($typed, Unit::Foot)->micrometres, $typed);
            }
        }
    }

    public function testEverySystemRoundsTowardsSafetyForAnyLength(): void
    {
        mt_srand(11);
        for ($i = 0; $i < 2000; ++$i) {
            $length = Length::ofMicrometres(mt_rand(12_000, 20_000_000));
            foreach (System::cases() as $system) {
                $tape = new LengthFormatter($system);
                $owned = $tape->write(Figure::owned($length));
                $needed = $tape->write(Figure::needed($length));
                self::assertLessThanOrEqual($length->micrometres, Length::parse($owned, Unit::Metre)->micrometres, $owned);
                self::assertGreaterThanOrEqual($length->micrometres, Length::parse($needed, Unit::Metre)->micrometres, $needed);
                self::assertLessThanOrEqual(
                    Unit::EighthYard->value,
                    Length::parse($needed, Unit::Metre)->minus(Length::parse($owned, Unit::Metre))->micrometres,
                );
            }
        }
    }

    public function testBothUnitsAreShownEachRoundedTowardsSafety(): void
    {
        $both = new LengthFormatter(System::Metric, both: true);
        self::assertSame('26 cm (10¼ in)', $both->write(Figure::needed(Length::ofMetres('0.2576'))));
        self::assertSame('2.34 m (2½ yd)', $both->write(Figure::owned(Length::ofMetres('2.342'))));
        self::assertSame('137 cm (53⅞ in)', $both->write(Figure::width(Length::ofMetres('1.37'))));
        self::assertSame('2.342 m', $both->write(Figure::exact(Length::ofMetres('2.342'))), 'the working stays in one');
        self::assertSame(
            '2½ yd (2.34 m)',
            (new LengthFormatter(System::Imperial, both: true))->write(Figure::owned(Length::ofMetres('2.342'))),
        );
    }
}
