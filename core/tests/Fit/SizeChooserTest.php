<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SizeChooserTest extends TestCase
{
    private const WOMEN = "8 10 12 14 16 18 20\nbust 80 83 87 92 97 102 107\nwaist 61 64 67 71 76 81 87\nhip 85 88 92 97 102 107 112";
    private const CHILDREN = "2 3 4 5 6 8\nheight 92 98 104 110 116 128\nbust 53 55 57 59 61 66";

    /** @param array<string, string> $body in centimetres */
    #[DataProvider('bodies')]
    public function testOnePointDecidesAndTheOthersAreNamed(
        Garment $garment,
        array $body,
        ?string $size,
        ?string $gradedTo,
        string $sentence,
    ): void {
        $advice = $this->advice($garment, self::WOMEN, $body);
        self::assertSame([$size, $gradedTo, $sentence], [$advice->size, $advice->gradedTo, (string) $advice->sentence]);
    }

    /** @return iterable<string, array{Garment, array<string, string>, ?string, ?string, string}> */
    public static function bodies(): iterable
    {
        yield 'one size all over' => [
            Garment::Dress,
            ['bust' => '92', 'waist' => '71', 'hip' => '97'],
            '14',
            null,
            'Size 14, by bust, waist, hip.',
        ];
        yield 'three sizes' => [
            Garment::Dress,
            ['bust' => '92', 'waist' => '76', 'hip' => '106'],
            '14',
            '18',
            '14 bust, 16 waist, 18 hip: grade between. Chosen by bust; cloth is worked out for 18, the largest used.',
        ];
        yield 'trousers by hip' => [
            Garment::Trousers,
            ['bust' => '80', 'waist' => '76', 'hip' => '97'],
            '14',
            '16',
            '16 waist, 14 hip: grade between. Chosen by hip; cloth is worked out for 16, the largest used.',
        ];
        yield 'a centimetre is eaten by the ease' => [Garment::Top, ['bust' => '93'], '14', null, 'Size 14, by bust.'];
        yield 'more is not' => [Garment::Top, ['bust' => '93.1'], '16', null, 'Size 16, by bust.'];
        yield 'what decides is not measured' => [
            Garment::Skirt,
            ['bust' => '92'],
            null,
            null,
            'Measure the hip of Odalys: it decides the size.',
        ];
    }

    public function testBetweenTwoSizesAndOutsideTheCopyOwnedBothAreSaid(): void
    {
        $advice = $this->advice(
            Garment::Top,
            self::WOMEN,
            ['bust' => '94.5'],
            editions: [new Edition('small half', ['8', '10', '12', '14'])],
        );
        self::assertSame('16', $advice->size);
        self::assertSame(
            [
                'The bust, 94.5 cm, lies between 14 and 16: the larger is taken, since cloth can be taken in and not let out.',
                'Size 16 is outside the copy owned (8, 10, 12, 14).',
            ],
            $this->flags($advice),
        );
    }

    public function testABodyOutsideTheChartIsSaid(): void
    {
        self::assertStringContainsString(
            'is 5 cm more than size 20, the largest',
            $this->flags($this->advice(Garment::Top, self::WOMEN, ['bust' => '112']))[0],
        );
        self::assertStringContainsString(
            'is smaller than size 8, the smallest of the chart (80 cm): one size down can be graded, which takes time.',
            $this->flags($this->advice(Garment::Top, self::WOMEN, ['bust' => '70']))[0],
        );
    }

    public function testAChildsBodyIsNotGradedFromAWomansChart(): void
    {
        $advice = $this->advice(Garment::Top, self::WOMEN, ['bust' => '58.5']);
        self::assertNull($advice->size);
        self::assertSame('Blouse is not drafted for a bust of 58.5 cm: its chart goes from 80 cm to 107 cm.', (string) $advice->sentence);
    }

    public function testAChildGoesByHeightAndChestAndMayBeSizedUp(): void
    {
        $advice = $this->advice(Garment::Tee, self::CHILDREN, ['height' => '109.5', 'bust' => '60.5'], child: true);
        self::assertSame(['5', '6', '8'], [$advice->size, $advice->gradedTo, $advice->up]);
        self::assertContains('A size up, 8, buys a second season; hem and elastic leave room.', $this->flags($advice));
        self::assertNull(
            $this->advice(Garment::Tee, self::CHILDREN, ['height' => '127', 'bust' => '65'], child: true)->up,
            'the chart has no larger one',
        );
    }

    public function testAnOldMeasurementIsAskedForAgainAChildsSooner(): void
    {
        $today = new \DateTimeImmutable('2026-07-01');
        self::assertSame([], $this->flags($this->advice(Garment::Top, self::WOMEN, ['bust' => '92'], today: $today)));
        self::assertStringContainsString(
            'children grow',
            $this->flags($this->advice(Garment::Tee, self::CHILDREN, ['height' => '110', 'bust' => '59'], child: true, today: $today))[0],
        );
    }

    public function testThePatternSaysWhatDecidesForWhomItIsDraftedAndHowItRuns(): void
    {
        $chart = (new SizeChartReader())->read(self::WOMEN, Unit::Centimetre);
        $full = new SizeChart($chart->sizes, $chart->body, $chart->finished, BodyPoint::Waist, Length::of('160', Unit::Centimetre));
        $advice = (new SizeChooser())->choose(
            $this->person(['waist' => '76', 'hip' => '97', 'height' => '175']),
            new Pattern('p', 'Full skirt', makes: new PatternGarment(garment: Garment::Skirt), chart: $full),
        );
        self::assertSame('16', $advice->size, 'a full skirt goes by the waist');
        self::assertStringContainsString('the hip is free in it', $this->flags($advice)[0]);
        self::assertStringContainsString('Odalys is 15 cm taller', $this->flags($advice)[1]);
    }

    /**
     * Waist 72 is size 14, hip 107 would be 18.
     *
     * @param list<Technique> $techniques
     * @param list<Feature>   $features
     */
    #[TestWith(['Full skirt', [], [], '14'])]
    #[TestWith(['Marsh skirt', [Technique::Gathers], [], '14'])]
    #[TestWith(['Marsh skirt', [], [Feature::Full], '14'])]
    #[TestWith(['Circle skirt', [], [], '14'])]
    #[TestWith(['Marsh skirt', [], [], '18'])]
    #[TestWith(['Marsh skirt', [Technique::Darts], [Feature::BelowTheKnee], '18'])]
    public function testAFullSkirtGoesByTheWaistAloneAndAFittedOneByTheHip(
        string $title,
        array $techniques,
        array $features,
        string $size,
    ): void {
        $pattern = new Pattern(
            'p',
            $title,
            makes: new PatternGarment(garment: Garment::Skirt, techniques: $techniques),
            chart: (new SizeChartReader())->read(self::WOMEN, Unit::Centimetre),
            versions: [new Version('v', 'A', new RequirementTable([], []), features: $features)],
        );
        self::assertSame($size, (new SizeChooser())->choose($this->person(['waist' => '72', 'hip' => '107']), $pattern)->size);
    }

    /** Of a chart from bust 80 in steps of 3 cm: half a step is 1.5 cm. */
    #[TestWith(['79', false])]
    #[TestWith(['78.6', false])]
    #[TestWith(['78.5', true])]
    #[TestWith(['77', true])]
    public function testBelowTheSmallestIsSaidFromHalfAStep(string $bust, bool $isSaid): void
    {
        $flags = $this->flags($this->advice(Garment::Top, self::WOMEN, ['bust' => $bust]));
        self::assertSame($isSaid, str_contains(implode(' ', $flags), 'one size down can be graded'));
    }

    public function testAPatternDraftedInOneSizeIsThatSize(): void
    {
        $advice = $this->advice(Garment::Top, "one size\nbust 104", ['bust' => '92']);
        self::assertSame('one size', $advice->size, (string) $advice->sentence);
    }

    public function testTheWorkingShowsTheEase(): void
    {
        $lines = $this->advice(Garment::Top, self::WOMEN."\nfinished bust 90 93 97 102 107 112 117", ['bust' => '92'])->working->lines;
        self::assertSame('Ease', (string) $lines[3]->label);
        self::assertSame(100, $lines[3]->figure->length->millimetres());
        $close = $this->advice(Garment::Top, self::WOMEN."\nfinished bust 70 73 77 82 87 92 97", ['bust' => '92'])->working->lines;
        self::assertSame('Smaller than the body by', (string) $close[3]->label);
    }

    public function testWithoutAChartItIsAskedFor(): void
    {
        self::assertStringContainsString(
            'has no size chart yet',
            (string) (new SizeChooser())->choose($this->person(['bust' => '92']), new Pattern('p', 'Blouse'))->sentence,
        );
        self::assertStringContainsString(
            'no row for the bust',
            (string) $this->advice(Garment::Top, "S M\nhip 90 95", ['bust' => '92'])->sentence,
        );
        self::assertStringContainsString(
            'does not tell its sizes apart',
            (string) $this->advice(Garment::Top, "S M\nbust 90 90", ['bust' => '92'])->sentence,
        );
    }

    /** Whoever is larger is never offered a smaller size, and the size offered is never smaller than the body by more than 1 cm. */
    public function testALargerBodyNeverTakesASmallerSize(): void
    {
        $order = array_flip(['8', '10', '12', '14', '16', '18', '20']);
        $chart = (new SizeChartReader())->read(self::WOMEN, Unit::Centimetre);
        $before = -1;
        for ($millimetres = 780; $millimetres <= 1080; ++$millimetres) {
            $advice = (new SizeChooser())->choose(
                new Person(
                    'o',
                    'Odalys',
                    measured: [new Measured(new \DateTimeImmutable('2026-01-10'), ['bust' => Length::ofMillimetres($millimetres)])],
                ),
                new Pattern('p', 'Blouse', makes: new PatternGarment(garment: Garment::Top), chart: $chart),
            );
            self::assertNotNull($advice->size);
            self::assertGreaterThanOrEqual($before, $order[$advice->size]);
            $before = $order[$advice->size];
            self::assertGreaterThanOrEqual($millimetres - 10, $chart->body['bust'][$advice->size]->millimetres());
        }
        self::assertSame($order['20'], $before);
    }

    public function testAHatGoesByTheHeadAndACoatDoesNotAskForTheWaist(): void
    {
        self::assertSame('58', $this->advice(Garment::Hat, "54 56 58 60\nhead 54 56 58 60", ['head' => '57.5'])->size);
        self::assertSame(
            'Size 14, by bust, hip.',
            (string) $this->advice(Garment::Coat, self::WOMEN, ['bust' => '92', 'waist' => '87', 'hip' => '97'])->sentence,
        );
    }

    public function testAGapInTheChartIsSteppedOver(): void
    {
        $advice = $this->advice(Garment::Top, "8 10 12\nbust 80 - 87", ['bust' => '82']);
        self::assertSame('12', $advice->size);
        self::assertStringContainsString('lies between 8 and 12', $this->flags($advice)[0]);
    }

    /**
     * @param array<string, string> $body     in centimetres
     * @param list<Edition>         $editions
     */
    private function advice(
        Garment $garment,
        string $chart,
        array $body,
        bool $child = false,
        array $editions = [],
        ?\DateTimeImmutable $today = null,
    ): SizeAdvice {
        return (new SizeChooser())->choose(
            $this->person($body, $child),
            new Pattern(
                'p',
                'Blouse',
                makes: new PatternGarment(garment: $garment),
                keeping: new PatternKeeping(editions: $editions),
                chart: (new SizeChartReader())->read($chart, Unit::Centimetre),
            ),
            $today,
        );
    }

    /** @param array<string, string> $body in centimetres */
    private function person(array $body, bool $child = false): Person
    {
        return new Person('o', 'Odalys', $child, '', [
            new Measured(
                new \DateTimeImmutable('2026-01-10'),
                array_map(static fn (string $figure): Length => Length::of($figure, Unit::Centimetre), $body),
            ),
        ]);
    }

    /** @return list<string> */
    private function flags(SizeAdvice $advice): array
    {
        return array_map(static fn (Sentence $flag): string => (string) $flag, $advice->flags);
    }
}
