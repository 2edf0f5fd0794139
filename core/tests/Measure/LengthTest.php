<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Measure;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    #[DataProvider('written')]
    public function testReadsWhatPeopleWrite(string $text, Unit $default, int $micrometres): void
    {
        self::assertSame($micrometres, Length::parse($text, $default)->micrometres);
    }

    /** @return iterable<string, array{string, Unit, int}> */
    public static function written(): iterable
    {
        $cases = [
            ['1.4', Unit::Metre, 1_400_000],
            ['1,4 m', Unit::Yard, 1_400_000],
            ['140cm', Unit::Metre, 1_400_000],
            ['140 CM', Unit::Metre, 1_400_000],
            ['1400mm', Unit::Metre, 1_400_000],
            ['1 5/8 yd', Unit::Metre, 1_485_900],
            ['1⅝', Unit::Yard, 1_485_900],
            ['1-5/8"', Unit::Metre, 41_275],
            ['1 ⅝ yards', Unit::Metre, 1_485_900],
            ['half a metre', Unit::Yard, 500_000],
            ['half metre', Unit::Yard, 500_000],
            ['0.5yd', Unit::Metre, 457_200],
            ['.5 yd', Unit::Metre, 457_200],
            ['62 in', Unit::Centimetre, 1_574_800],
            ['62″', Unit::Centimetre, 1_574_800],
            ["5'", Unit::Centimetre, 1_524_000],
            ["5' 4\"", Unit::Centimetre, 1_625_600],
            ['1 yd 4 in', Unit::Metre, 1_016_000],
            ['1 m 20', Unit::Yard, 1_200_000],
            ['1m20', Unit::Yard, 1_200_000],
            ['2 m 5 cm', Unit::Yard, 2_050_000],
            ['a yard and a half', Unit::Metre, 1_371_600],
            ['2 yards and a quarter', Unit::Metre, 2_057_400],
            ['three quarters of a yard', Unit::Metre, 685_800],
            ['three quarter yard', Unit::Metre, 685_800],
            ['a quarter of a metre', Unit::Yard, 250_000],
            ['two metres', Unit::Yard, 2_000_000],
            ['one and a half metres', Unit::Yard, 1_500_000],
            ['3/8', Unit::Yard, 342_900],
            ['7/8 m.', Unit::Yard, 875_000],
            ['2¾yd', Unit::Metre, 2_514_600],
            ["\u{a0}1.4\u{a0}m ", Unit::Yard, 1_400_000],
            ['150', Unit::Centimetre, 1_500_000],
            ['500 m', Unit::Metre, 500_000_000],
        ];
        foreach ($cases as $case) {
            yield $case[0].' by '.$case[1]->name => $case;
        }
    }

    #[DataProvider('nonsense')]
    public function testSaysWhatIsWrongWithWhatItCannotRead(string $text, string $part): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($part);
        Length::parse($text, Unit::Metre);
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        yield 'nothing' => ['  ', 'A length is missing'];
        yield 'negative' => ['-1.5 m', 'below zero'];
        yield 'negative with a true minus' => ['−2', 'below zero'];
        yield 'zero' => ['0 cm', 'more than zero'];
        yield 'zero fraction' => ['0/4', 'more than zero'];
        yield 'forty kilometres' => ['40000 m', 'longer than any bolt'];
        yield 'an unknown unit' => ['40 km', 'cannot be read'];
        yield 'a word' => ['lots', 'cannot be read'];
        yield 'divided by nothing' => ['1/0 m', 'cannot be read'];
        yield 'two bare numbers' => ['1 2', 'cannot be read'];
        yield 'a tag' => ['<script>alert(1)</script>', 'cannot be read'];
        yield 'emoji' => ['🧵', 'cannot be read'];
        yield 'enormous' => ['999999999999 yd', 'longer than any bolt'];
        yield 'too many figures' => [str_repeat('9', 40), 'cannot be read'];
        yield 'broken bytes' => ["\xff\xfe", 'missing'];
    }

    public function testFractionsOfAYardAreExact(): void
    {
        self::assertSame(Unit::EighthYard->value * 21, Length::parse('2 5/8 yd', Unit::Metre)->micrometres);
        self::assertSame(2400.3, Length::parse('2 5/8 yd', Unit::Metre)->millimetres());
        self::assertSame(2_400_300, Length::ofMillimetres(2400.3)->micrometres);
    }

    public function testRoundingDividesExactlyForAnySign(): void
    {
        for ($dividend = -9; $dividend <= 9; ++$dividend) {
            foreach ([-4, -3, 1, 3, 4] as $divisor) {
                self::assertSame((int) floor($dividend / $divisor), Rounding::Down->divide($dividend, $divisor));
                self::assertSame((int) ceil($dividend / $divisor), Rounding::Up->divide($dividend, $divisor));
            }
        }
        self::assertSame(3, Rounding::Nearest->divide(5, 2));
    }

    public function testAStepGoesUpForNeedAndDownForStock(): void
    {
        $step = Length::of('10', Unit::Centimetre);
        self::assertSame(2_300_000, Length::ofMetres('2.201')->toStep($step, Rounding::Up)->micrometres);
        self::assertSame(2_200_000, Length::ofMetres('2.29')->toStep($step, Rounding::Down)->micrometres);
    }

    public function testRefusesADecimalThatIsNone(): void
    {
        $this->expectException(Unreadable::class);
        Length::ofMetres('1.2.3');
    }

    #[DataProvider('said')]
    public function testWhatPeopleWriteIsReadOrSaysWhyNot(string $text, float|int|null $there, float|int|null $needed): void
    {
        $read = static function (bool $larger) use ($text): float|int|null {
            try {
                return Length::parse($text, Unit::Metre, $larger)->millimetres();
            } catch (Unreadable) {
                return null;
            }
        };
        self::assertSame([$there, $needed], [$read(false), $read(true)]);
    }

    /** @return iterable<string, array{string, float|int|null, float|int|null}> what is there and what is needed, mm */
    public static function said(): iterable
    {
        foreach (
            [
                ['2m40', 2400],
                ['1 m 20 cm', 1200],
                ['1 m 20', 1200],
                ['two and three quarter yards', 2514.6],
                ['a yard and a half', 1371.6],
                ['1,250 mm', 1250],
                ['1,25 m', 1250],
                ['3/4', 750],
                ['1-5/8"', 41.275],
                ['2 lengths of 1.6', null],
                ['1.8m + 1.65m', null],
                ['1.4m2', null],
                ['1.4 m²', null],
                ['2m4', null],
                ['7/40', null],
                ['1 yd 4 in', 1016],
            ] as [$text, $length]
        ) {
            yield $text => [$text, $length, $length];
        }
        yield 'a width in inches' => ['44/45"', 1117.6, 1143];
        yield 'a range with a dash' => ['58-60 in', 1473.2, 1524];
        yield 'a need' => ['2.8-3', 2800, 3000];
    }

    #[DataProvider('endless')]
    public function testWhatNobodyTypesIsRefusedAtOnce(string $text): void
    {
        $this->expectException(Unreadable::class);
        Length::parse($text, Unit::Metre);
    }

    /** @return iterable<string, array{string}> */
    public static function endless(): iterable
    {
        yield 'terms that would overflow when added' => [str_repeat('9999999999yd 9999999999ft ', 1100)];
        yield 'as many as a hundred characters hold' => ['9999999999yd 9999999999ft 9999999999in 9999999999m 9999999999cm 9999999999mm'];
        yield 'a megabyte' => [str_repeat('1m ', 350_000)];
        yield 'a fraction of everything' => ['999999999-9999/9999 yd'];
    }
}
