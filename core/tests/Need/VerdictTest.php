<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class VerdictTest extends TestCase
{
    #[DataProvider('margins')]
    public function testTheMarginIsTheLargerOfTenCentimetresAndFivePerCent(string $spare, string $need, Verdict $verdict): void
    {
        self::assertSame($verdict, Verdict::of(Length::ofMetres($spare), Length::ofMetres($need), new Assumptions()));
    }

    /** @return iterable<string, array{string, string, Verdict}> */
    public static function margins(): iterable
    {
        yield 'a hair missing' => ['-0.000001', '2', Verdict::Short];
        yield 'exactly enough' => ['0', '2', Verdict::Tight];
        yield 'a hair below 10 cm' => ['0.099999', '2', Verdict::Tight];
        yield '10 cm of 2 m' => ['0.1', '2', Verdict::Fits];
        yield '10 cm of 3 m is below 5 %' => ['0.1', '3', Verdict::Tight];
        yield '15 cm of 3 m' => ['0.15', '3', Verdict::Fits];
    }

    public function testTheSewistsOwnMarginReplacesTheAssumption(): void
    {
        $own = new Assumptions(fitsLeast: Length::ofMetres('0.3'));
        self::assertSame(Verdict::Tight, Verdict::of(Length::ofMetres('0.25'), Length::ofMetres('2'), $own));
    }

    public function testTheGraverVerdictStands(): void
    {
        $order = [Verdict::Fits, Verdict::Tight, Verdict::ToBuy, Verdict::NotKnown, Verdict::Short];
        foreach ($order as $i => $lighter) {
            foreach ($order as $j => $other) {
                self::assertSame($order[max($i, $j)], $lighter->graver($other));
            }
        }
    }

    public function testTheLargestNeedThatFits(): void
    {
        $assumptions = new Assumptions();
        $micrometre = Length::ofMicrometres(1);
        for ($free = 150_001; $free < 6_000_000; $free += 123_457) {
            $free = max(200_000, $free);
            $need = Verdict::largest(Length::ofMicrometres($free), $assumptions);
            $spare = Length::ofMicrometres($free)->minus($need);
            self::assertSame(Verdict::Fits, Verdict::of($spare, $need, $assumptions), (string) $free);
            $tight = Verdict::of($spare->minus($micrometre), $need->plus($micrometre), $assumptions);
            self::assertSame(Verdict::Tight, $tight, (string) $free);
        }
        self::assertSame(900_000, Verdict::largest(Length::ofMetres('1'), $assumptions)->micrometres);
        self::assertSame(4_000_000, Verdict::largest(Length::ofMetres('4.2'), $assumptions)->micrometres);
    }
}
