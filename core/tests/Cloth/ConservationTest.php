<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Conservation;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use Octavum\Core\Sewing\YearInReview;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Cloth is conserved: a cut that comes to nothing stays, and no piece of a cloth is more than the cloth. */
final class ConservationTest extends TestCase
{
    private const CASES = 500;

    public function testACutOfWhichAllIsUsedStaysWithNothingLeft(): void
    {
        $cut = self::bought(1500)->cutOff(Length::ofMillimetres(1500), self::day(2), 'skirt');
        self::assertTrue($cut->gone);
        self::assertTrue($cut->length?->isZero());
        self::assertTrue(self::toCut($cut)->length?->isZero());
        $found = $cut->with(new LedgerEntry(self::day(3), LedgerKind::Measured, Length::ofMillimetres(200)));
        self::assertFalse($found->gone, 'measured again, it was there after all');
    }

    /** Length and width of a piece, in millimetres, out of 1 m of cloth that is 1.4 m wide. */
    #[TestWith([1000, 1400, true])]
    #[TestWith([1001, 1400, false])]
    #[TestWith([1000, 1401, false])]
    #[TestWith([1400, 1000, true, 'it lay crosswise'])]
    #[TestWith([1500, 300, false])]
    public function testOnePieceOutOfACloth(int $length, int $width, bool $fits): void
    {
        self::assertSame($fits, self::isConserved(self::bought(1000), 1000, [[$length, $width]]));
    }

    public function testPiecesTogetherAreNoMoreThanAllOfIt(): void
    {
        self::assertTrue(self::isConserved(self::bought(1000), 1000, [[500, 1400], [500, 1400]]));
        self::assertFalse(self::isConserved(self::bought(1000), 1000, [[500, 1400], [501, 1400]]));
        self::assertTrue(self::isConserved(new Cut('c', []), null, [[5000, 1400]]), 'of what nobody measured nothing is known');
    }

    /**
     * Ends, in millimetres lost of a metre: two raw ones of what was bought, none of a remnant, one after the scissors.
     *
     * @param list<LedgerKind> $kinds
     */
    #[TestWith([[LedgerKind::Bought], 940])]
    #[TestWith([[LedgerKind::Remnant], 1000])]
    #[TestWith([[LedgerKind::Remnant, LedgerKind::Cut], 970])]
    #[TestWith([[LedgerKind::Bought, LedgerKind::Straightened], 1000])]
    #[TestWith([[LedgerKind::Bought, LedgerKind::Straightened, LedgerKind::Cut], 970])]
    #[TestWith([[LedgerKind::Bought, LedgerKind::Cut], 940])]
    public function testOnlyRawEndsAreStraightened(array $kinds, int $left): void
    {
        $ledger = array_map(
            static fn (LedgerKind $kind): LedgerEntry => new LedgerEntry(self::day(1), $kind, Length::ofMillimetres(1000)),
            $kinds,
        );
        $polyester = new Cloth('c', 'C', Width::of(Length::ofMillimetres(1400), Length::ofMillimetres(10)));
        $never = new LedgerEntry(self::day(1), LedgerKind::NotWashed);
        self::assertSame($left, ToCut::of($polyester, new Cut('c', [...$ledger, $never]), new Assumptions())->length?->millimetres());
    }

    /** Whatever happens to a cut that does not shrink: what came in is what went out and what is left. */
    public function testOverRandomLedgersNothingComesFromNowhere(): void
    {
        mt_srand(25);
        for ($case = 0; $case < self::CASES; ++$case) {
            $bought = mt_rand(500, 5000);
            $cuts = [self::bought($bought)];
            for ($step = 2; $step < 12; ++$step) {
                $at = mt_rand(0, \count($cuts) - 1);
                [$changed, $more] = $this->happens($cuts[$at], self::day($step));
                $cuts[$at] = $changed;
                $cuts = [...$cuts, ...$more];
            }
            $review = (new YearInReview())->review(2027, [], [self::cloth($cuts)], self::day(28));
            $left = array_sum(array_map(static fn (Cut $cut): int => $cut->gone ? 0 : (int) $cut->length?->millimetres(), $cuts));
            self::assertSame($bought, (int) $review->in()->millimetres(), 'case '.$case);
            self::assertLessThanOrEqual($bought, $left, 'case '.$case);
            self::assertSame($bought - $left, (int) $review->out()->millimetres(), 'case '.$case);
        }
    }

    /**
     * Something that may happen to a cut, with its remnants as wide as the cloth; what is refused has not happened.
     *
     * @return array{Cut, list<Cut>}
     */
    private function happens(Cut $cut, \DateTimeImmutable $on): array
    {
        $has = (int) $cut->length?->millimetres();
        $some = Length::ofMillimetres(mt_rand(1, 3000));
        $entry = static fn (LedgerKind $kind, ?Length $left = null): Cut => $cut->with(new LedgerEntry($on, $kind, $left));
        if ($cut->gone || null === $cut->length) {
            return [$cut, []];
        }
        try {
            switch (mt_rand(0, 5)) {
                case 0:
                    return [$cut->cutOff($some, $on, ''), []];
                case 1:
                    return [$entry(LedgerKind::GivenAway, 1 === mt_rand(0, 1) ? null : $some), []];
                case 2:
                    return [$entry(LedgerKind::Spoilt, $some), []];
                case 3:
                    return [
                        $entry(LedgerKind::Cut)->with(new LedgerEntry($on, LedgerKind::Measured, Length::ofMillimetres(mt_rand(0, $has)))),
                        [],
                    ];
                case 4:
                    return [$cut->cutOff($cut->length, $on, ''), []];
                default:
                    (new Conservation(self::cloth([]), $cut, $cut->length))->checkAll([[$some, Length::ofMillimetres(1400)]]);
                    $rest = Length::ofMillimetres($has)->minus($some);
                    $half = static fn (Length $length): Cut => new Cut('half', [new LedgerEntry($on, LedgerKind::Remnant, $length)]);

                    return [$entry(LedgerKind::TakenApart), $rest->isPositive() ? [$half($some), $half($rest)] : [$half($some)]];
            }
        } catch (Unreadable) {
            return [$cut, []];
        }
    }

    /** @param list<array{int, int}> $pieces length and width in millimetres */
    private static function isConserved(Cut $cut, ?int $length, array $pieces): bool
    {
        $conservation = new Conservation(self::cloth([$cut]), $cut, null === $length ? null : Length::ofMillimetres($length));
        try {
            $conservation->checkAll(
                array_map(static fn (array $one): array => [Length::ofMillimetres($one[0]), Length::ofMillimetres($one[1])], $pieces),
            );

            return true;
        } catch (Unreadable) {
            return false;
        }
    }

    private static function bought(int $millimetres): Cut
    {
        return new Cut('cut', [new LedgerEntry(self::day(1), LedgerKind::Bought, Length::ofMillimetres($millimetres))]);
    }

    /** @param list<Cut> $cuts */
    private static function cloth(array $cuts): Cloth
    {
        return new Cloth('c', 'C', Width::of(Length::ofMillimetres(1400), Length::ofMillimetres(10)), cuts: $cuts);
    }

    private static function toCut(Cut $cut): ToCut
    {
        return ToCut::of(self::cloth([$cut]), $cut, new Assumptions());
    }

    private static function day(int $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable(\sprintf('2027-03-%02d', $day));
    }
}
