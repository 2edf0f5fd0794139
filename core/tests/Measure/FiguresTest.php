<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Measure;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Operation;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Working;
use Octavum\Core\Measure\WorkingLine;
use PHPUnit\Framework\TestCase;

final class FiguresTest extends TestCase
{
    public function testAShareIsTakenAndGivenBack(): void
    {
        $metre = Length::ofMetres('1');
        self::assertSame(960_000, Percent::of(4)->takenFrom($metre, Rounding::Down)->micrometres);
        self::assertSame(40_000, Percent::of(4)->shareOf($metre, Rounding::Down)->micrometres);
        mt_srand(6);
        for ($i = 0; $i < 500; ++$i) {
            $share = Percent::ofHundredths(mt_rand(0, 3000));
            $need = Length::ofMicrometres(mt_rand(1000, 9_000_000));
            $bought = $share->beforeLossOf($need);
            self::assertFalse($share->takenFrom($bought, Rounding::Down)->isLessThan($need), 'what is bought leaves what is needed');
            self::assertLessThanOrEqual(2, $share->takenFrom($bought, Rounding::Down)->minus($need)->micrometres, 'and hardly more');
        }
        self::assertGreaterThan(0, Percent::of(100)->beforeLossOf($metre)->micrometres, 'even where nothing would be left');
    }

    public function testASharePastTheWholeIsRefused(): void
    {
        foreach ([-0.1, 100.01] as $share) {
            try {
                Percent::of($share);
                self::fail('Taken.');
            } catch (Unreadable $unreadable) {
                self::assertStringContainsString('type a number from 0 to 100', (string) $unreadable->sentence);
            }
        }
        self::assertSame(['4 %', '2.5 %', '0 %'], array_map(strval(...), [Percent::of(4), Percent::of(2.5), Percent::of(0)]));
    }

    public function testAWorkingKeepsItsLinesInOrder(): void
    {
        $working = Working::empty()
            ->start(new Sentence('A'), Length::ofMetres('2'), Source::Measured)
            ->less(new Sentence('B'), Length::ofMetres('1'), Source::Assumed)
            ->plus(new Sentence('C'), Length::ofMetres('3'), null);
        $whole = $working->then(Working::empty()->result(new Sentence('D'), Figure::owned(Length::ofMetres('4'))));
        self::assertSame(
            [Operation::Start, Operation::Less, Operation::Plus, Operation::Result],
            array_map(static fn (WorkingLine $line): Operation => $line->operation, $whole->lines),
        );
        self::assertSame(['A', 'B', 'C', 'D'], array_map(static fn (WorkingLine $line): string => (string) $line->label, $whole->lines));
        self::assertCount(3, $working->lines, 'a working is not changed by adding to it');
    }

    public function testASentenceWithoutATranslatorIsPlainAndMetric(): void
    {
        $sentence = new Sentence('{a} by {day}: {inner} at {share}, {length}', [
            'a' => 7,
            'day' => new \DateTimeImmutable('2027-03-01'),
            'inner' => new Sentence('{x}', ['x' => 'y']),
            'share' => Percent::of(5),
            'length' => Figure::needed(Length::ofMetres('1.001')),
        ]);
        self::assertSame('7 by 2027-03-01: y at 5 %, 1.01 m', (string) $sentence);
    }

    public function testLengthsCompareAndCount(): void
    {
        [$one, $two] = [Length::ofMetres('1'), Length::ofMetres('2')];
        self::assertSame([$two, $one, $two], [$one->larger($two), $one->smaller($two), $two->larger($one)]);
        self::assertTrue($one->minus($two)->isNegative());
        self::assertTrue($one->negated()->negated()->equals($one));
        self::assertSame(3_000_000, $one->times(3)->micrometres);
        self::assertSame(
            [666_666, 666_667],
            [$two->scaled(1, 3, Rounding::Down)->micrometres, $two->scaled(1, 3, Rounding::Up)->micrometres],
        );
        self::assertSame([1, 0.5], [Length::ofMicrometres(1000)->millimetres(), Length::ofMicrometres(500)->millimetres()]);
    }
}
