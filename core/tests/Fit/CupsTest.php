<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Fit;

use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Fit\Cups;
use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Season\Snag\SizeSnags;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CupsTest extends TestCase
{
    private const CHART = "12B 12C 12D 14B 14C 14D 16B 16C\nhigh bust 87 87 87 92 92 92 97 97\n"
        ."bust 92 94.5 97 96.5 99 101.5 101 103.5\nhip 92 92 92 97 97 97 102 102";

    #[DataProvider('bodies')]
    public function testTheHighBustDecidesTheNumberAndTheDifferenceTheCup(string $highBust, string $bust, string $size, ?string $flag): void
    {
        $advice = $this->advice(self::CHART, ['high bust' => $highBust, 'bust' => $bust]);
        self::assertSame($size, $advice->size);
        self::assertSame(
            null === $flag ? [] : [$flag],
            array_map(static fn (Sentence $one): string => (string) $one, $advice->flags),
        );
    }

    /** @return iterable<string, array{string, string, string, ?string}> */
    public static function bodies(): iterable
    {
        yield '5 cm is B' => ['92', '97', '14B', null];
        yield 'by the bust alone it would be 12D' => ['92', '96', '14B', null];
        yield 'a centimetre is eaten by the ease' => ['92', '98', '14B', null];
        yield 'a millimetre more is C' => ['92', '98.1', '14C', null];
        yield 'C to 8.5' => ['92', '100.5', '14C', null];
        yield 'D' => ['87', '95.6', '12D', null];
        $larger = 'The bust is 12 cm more than the high bust, cup DD, and 12 has none so large: add to the bust.';
        yield 'beyond D' => ['87', '99', '12D', $larger];
        $smaller = 'The bust is 2 cm more than the high bust, cup A, and 14 has none so small: take in the bust.';
        yield 'A' => ['92', '94', '14B', $smaller];
        $lacking = 'The bust is 9 cm more than the high bust, cup D, and 16 has none so large: add to the bust.';
        yield 'the nearest of its number, though others have a D' => ['97', '106', '16C', $lacking];
    }

    public function testOtherPointsAreReadInTheSameCup(): void
    {
        $advice = $this->advice(self::CHART, ['high bust' => '87', 'bust' => '94.5', 'hip' => '102']);
        self::assertSame(
            '12C high bust, 16C hip: grade between. Chosen by high bust; cloth is worked out for 16C, the largest used.',
            (string) $advice->sentence,
        );
        self::assertSame('Bust', (string) $advice->working->lines[0]->label);
    }

    public function testWhatIsMissingIsAskedFor(): void
    {
        self::assertSame(
            'Measure the high bust of Odalys: it decides the size.',
            (string) $this->advice(self::CHART, ['bust' => '97'])->sentence,
        );
        self::assertSame(
            'Measure the bust of Odalys: with the high bust it decides the cup.',
            (string) $this->advice(self::CHART, ['high bust' => '92'])->sentence,
        );
        self::assertSame(
            'The chart of Blouse has no row for the high bust, which decides its size.',
            (string) $this->advice("12B 12C\nbust 92 94.5", ['high bust' => '92', 'bust' => '97'])->sentence,
        );
        self::assertStringContainsString('is not drafted for a high bust', (string) $this->advice(
            self::CHART,
            ['high bust' => '60', 'bust' => '65'],
        )->sentence);
    }

    public function testAFigureGivenOnceForANumberStandsForItsCups(): void
    {
        $chart = "12B 12C 14B 14C\nhigh bust 87 - 92 -\nhip 92 - 97 -";
        self::assertSame(
            'Size 14C, by high bust, hip.',
            (string) $this->advice($chart, ['high bust' => '92', 'bust' => '99.5', 'hip' => '97'])->sentence,
        );
    }

    #[DataProvider('planned')]
    public function testASmallerNumberOrCupThanTheChartSaysIsASnag(string $planned, bool $isSnag, Garment $garment = Garment::Top): void
    {
        $project = new Project(
            'p',
            'Blouse',
            Plan::season(),
            1,
            brief: new ProjectBrief($this->person(['high bust' => '92', 'bust' => '99.5', 'hip' => '97'])),
            current: new Option('', $this->pattern(self::CHART, $garment), size: $planned),
        );
        self::assertSame(
            $isSnag ? ['Blouse: size '.$planned.' is planned, and by the chart Odalys takes 14C.'] : [],
            array_map(static fn (Snag $snag): string => (string) $snag->sentence, (new SizeSnags())->find($project)),
        );
    }

    /** @return iterable<string, array{0: string, 1: bool, 2?: Garment}> */
    public static function planned(): iterable
    {
        yield 'it' => ['14C', false];
        yield 'a smaller number' => ['12C', true];
        yield 'a smaller number with a larger cup' => ['12D', true];
        yield 'a larger number with a smaller cup' => ['16B', true];
        yield 'larger in both' => ['16C', false];
        yield 'trousers have none' => ['16B', false, Garment::Trousers];
    }

    public function testTrousersAskForNoCup(): void
    {
        self::assertSame('14B', $this->advice(self::CHART, ['hip' => '97'], Garment::Trousers)->size);
    }

    public function testEachCupIsItsSteps(): void
    {
        $letters = ['A', 'B', 'C', 'D', 'DD', 'F', 'G', 'H'];
        $cups = Cups::of(new SizeChart(array_map(static fn (string $letter): string => '12'.$letter, $letters)));
        self::assertNotNull($cups);
        $of = static fn (int $millimetres): array => $cups->narrowed(
            Length::ofMillimetres(870 + $millimetres),
            Length::ofMillimetres(870),
            Length::zero(),
        )->sizes;
        foreach ($letters as $i => $letter) {
            self::assertSame([['12'.$letter]], array_values(array_unique([$of(25 * $i + 1), $of(25 * $i + 25)], \SORT_REGULAR)));
        }
        self::assertNotNull(Cups::of(new SizeChart(['80D', '80E'])));
    }

    public function testOnlySeveralCupsOfANumberAreCups(): void
    {
        foreach ([['12', '14'], ['12B', '14C'], ['12B', '12C', 'L'], ['S', 'M'], []] as $sizes) {
            self::assertNull(Cups::of(new SizeChart($sizes)));
        }
    }

    public function testOnlyTheBustMayFallFromOneNumberToTheNext(): void
    {
        $this->expectException(Unreadable::class);
        (new SizeChartReader())->read("12B 12C 14B\nhigh bust 87 92 87", Unit::Centimetre);
    }

    /** @param array<string, string> $body in centimetres */
    private function advice(string $chart, array $body, Garment $garment = Garment::Top): SizeAdvice
    {
        return (new SizeChooser())->choose($this->person($body), $this->pattern($chart, $garment));
    }

    /** @param array<string, string> $body in centimetres */
    private function person(array $body): Person
    {
        return new Person('o', 'Odalys', measured: [
            new Measured(
                new \DateTimeImmutable('2026-01-10'),
                array_map(static fn (string $figure): Length => Length::of($figure, Unit::Centimetre), $body),
            ),
        ]);
    }

    private function pattern(string $chart, Garment $garment): Pattern
    {
        return new Pattern(
            'p',
            'Blouse',
            makes: new PatternGarment(garment: $garment),
            chart: (new SizeChartReader())->read($chart, Unit::Centimetre),
        );
    }
}
