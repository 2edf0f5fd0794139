<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Fit;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TightPlacesTest extends TestCase
{
    private const CHART = "14 16 18\nbust 92 97 102\nwaist 76 81 86\nhip 97 102 107\nupper arm 30 32 34\narm 59 60 61\n"
        ."back waist 41 42 43\nthigh 58 60 62\ncrotch depth 27 28 29\ninside leg 78 78 78";
    private const BODY = ['bust' => '102', 'waist' => '86', 'hip' => '107'];

    /**
     * @param array<string, string> $body     in centimetres, over one that is size 18 all over
     * @param list<string>          $says
     * @param list<list<Feature>>   $versions
     */
    #[DataProvider('bodies')]
    public function testAPlaceIsNamedAndTheSizeStays(
        Garment $garment,
        array $body,
        array $says,
        ?string $size = '18',
        array $versions = [],
    ): void {
        $person = new Person('o', 'Odalys', measured: [
            new Measured(
                new \DateTimeImmutable('2026-01-10'),
                array_map(static fn (string $figure): Length => Length::of($figure, Unit::Centimetre), $body + self::BODY),
            ),
        ]);
        $advice = (new SizeChooser())->choose($person, new Pattern(
            'p',
            'Blouse',
            makes: new PatternGarment(garment: $garment),
            chart: (new SizeChartReader())->read(self::CHART, Unit::Centimetre),
            versions: array_map(
                static fn (array $has): Version => new Version('v', 'A', new RequirementTable([], []), features: $has),
                $versions,
            ),
        ));
        self::assertSame([$size, $says], [$advice->size, array_map(static fn (Sentence $flag): string => (string) $flag, $advice->flags)]);
    }

    /** @return iterable<string, array{0: Garment, 1: array<string, string>, 2: list<string>, 3?: string, 4?: list<list<Feature>>}> */
    public static function bodies(): iterable
    {
        $arm = ['Upper arm: 37 cm is above size 18, 34 cm, and above every size of the chart: widen the sleeve.'];
        yield 'a sleeve' => [Garment::Dress, ['upper arm' => '37'], $arm];
        yield 'a centimetre is eaten by the ease' => [Garment::Dress, ['upper arm' => '35', 'back waist' => '44'], []];
        yield 'a millimetre more is not' => [
            Garment::Dress,
            ['back waist' => '44.1'],
            ['Back waist: 44.1 cm is above size 18, 43 cm, and above every size of the chart: lengthen the body.'],
        ];
        $smaller = ['bust' => '92', 'waist' => '76', 'hip' => '97'];
        yield 'a larger one would do' => [
            Garment::Shirt,
            ['upper arm' => '32.5', 'arm' => '60.5'] + $smaller,
            [
                'Upper arm: 32.5 cm is above size 14, 30 cm; size 16 would do there: widen the sleeve.',
                'Arm: 60.5 cm is above size 14, 59 cm; size 16 would do there: lengthen the sleeve.',
            ],
            '14',
        ];
        yield 'trousers have legs and no sleeves' => [
            Garment::Trousers,
            ['upper arm' => '37', 'thigh' => '60.5', 'crotch depth' => '29', 'inside leg' => '80'] + $smaller,
            [
                'Thigh: 60.5 cm is above size 14, 58 cm; size 16 would do there: widen the leg.',
                'Crotch depth: 29 cm is above size 14, 27 cm; size 16 would do there: deepen the crotch.',
                'Inside leg: 80 cm is above size 14, 78 cm, and above every size of the chart: lengthen the leg.',
            ],
            '14',
        ];
        yield 'shorts end above it' => [Garment::Shorts, ['inside leg' => '90'], []];
        yield 'legs go by the size below the waist' => [
            Garment::Jumpsuit,
            ['bust' => '92', 'waist' => '76', 'hip' => '107', 'thigh' => '62', 'upper arm' => '32.5'],
            ['Upper arm: 32.5 cm is above size 14, 30 cm; size 16 would do there: widen the sleeve.'],
            '14',
        ];
        yield 'a skirt covers none' => [Garment::Skirt, ['upper arm' => '50', 'back waist' => '60', 'thigh' => '70'], []];
        yield 'a waistcoat' => [
            Garment::Waistcoat,
            ['upper arm' => '50', 'back waist' => '42.5'] + $smaller,
            ['Back waist: 42.5 cm is above size 14, 41 cm; size 16 would do there: lengthen the body.'],
            '14',
        ];
        yield 'no version has sleeves' => [Garment::Dress, ['upper arm' => '37', 'arm' => '70'], [], '18', [[Feature::Sleeveless]]];
        yield 'short ones have no length of arm' => [
            Garment::Dress,
            ['upper arm' => '37', 'arm' => '70'],
            $arm,
            '18',
            [[Feature::Sleeveless, Feature::Pockets], [Feature::ShortSleeves]],
        ];
        yield 'of one nothing is said' => [Garment::Dress, ['upper arm' => '37'], $arm, '18', [[Feature::Sleeveless], []]];
    }
}
