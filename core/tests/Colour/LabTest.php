<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Colour;

use Octavum\Core\Colour\Lab;
use Octavum\Core\Colour\MainColours;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class LabTest extends TestCase
{
    /** Pairs of the published test data of Sharma, Wu and Dalal, chosen for their corner cases. */
    #[DataProvider('published')]
    public function testTheDifferenceAgreesWithThePublishedPairs(Lab $one, Lab $other, float $difference): void
    {
        self::assertEqualsWithDelta($difference, $one->difference($other), 0.0001);
        self::assertEqualsWithDelta($difference, $other->difference($one), 0.0001);
    }

    /** @return iterable<int, array{Lab, Lab, float}> */
    public static function published(): iterable
    {
        yield 1 => [new Lab(50, 2.6772, -79.7751), new Lab(50, 0, -82.7485), 2.0425];
        yield 4 => [new Lab(50, -1.3802, -84.2814), new Lab(50, 0, -82.7485), 1.0];
        yield 7 => [new Lab(50, 0, 0), new Lab(50, -1, 2), 2.3669];
        yield 9 => [new Lab(50, 2.49, -0.001), new Lab(50, -2.49, 0.0009), 7.1792];
        yield 11 => [new Lab(50, 2.49, -0.001), new Lab(50, -2.49, 0.0011), 7.2195];
        yield 17 => [new Lab(50, 2.5, 0), new Lab(73, 25, -18), 27.1492];
        yield 20 => [new Lab(50, 2.5, 0), new Lab(58, 24, 15), 19.4535];
        yield 25 => [new Lab(60.2574, -34.0099, 36.2677), new Lab(60.4626, -34.1751, 39.4387), 1.2644];
        yield 33 => [new Lab(6.7747, -0.2908, -2.4247), new Lab(5.8714, -0.0985, -2.2286), 0.6377];
        yield 34 => [new Lab(2.0776, 0.0795, -1.135), new Lab(0.9033, -0.0636, -0.5514), 0.9082];
    }

    public function testAColourComesBackAsItWas(): void
    {
        foreach (['#000000', '#ffffff', '#27405e', '#c4302b', '#ffd84d', '#0b5d5a', '#010203'] as $hex) {
            self::assertSame($hex, Lab::ofHex($hex)->toHex());
        }
        self::assertEqualsWithDelta(100, Lab::ofHex('#000000')->difference(Lab::ofHex('#ffffff')), 0.01);
    }

    public function testTheMainColoursOfAPrintAreFoundLargestFirst(): void
    {
        $samples = [];
        for ($i = 0; $i < 1000; ++$i) {
            $noise = ($i % 7) - 3;
            $samples[] = match (true) {
                $i % 10 < 6 => [39 + $noise, 64 - $noise, 94 + $noise],
                $i % 10 < 9 => [200 - $noise, 180 + $noise, 150 - $noise],
                default => [196 + $noise, 48 + $noise, 43],
            };
        }
        $found = (new MainColours())->find($samples);
        self::assertCount(3, $found);
        foreach (['#27405e', '#c8b496', '#c4302b'] as $i => $hex) {
            self::assertLessThan(3, Lab::ofHex($hex)->difference(Lab::ofHex($found[$i])));
        }
        self::assertSame($found, (new MainColours())->find($samples), 'the same every time');
        self::assertCount(2, (new MainColours())->find($samples, 2));
    }

    public function testAPlainClothHasOneColour(): void
    {
        self::assertSame(['#27405e'], (new MainColours())->find(array_fill(0, 50, [39, 64, 94])));
        self::assertCount(1, (new MainColours())->find([[10, 10, 10]]));
    }

    /** It is a measure of difference: none from itself, the same both ways, and never below nothing. */
    public function testTheDifferenceOfAnyTwoColoursIsAMeasure(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($i = 0; $i < 500; ++$i) {
            [$one, $other] = array_map(
                static fn (): Lab => Lab::ofRgb($random->getInt(0, 255), $random->getInt(0, 255), $random->getInt(0, 255)),
                [0, 1],
            );
            self::assertEqualsWithDelta(0, $one->difference($one), 1e-9);
            self::assertEqualsWithDelta($one->difference($other), $other->difference($one), 1e-6);
            self::assertGreaterThanOrEqual(0, $one->difference($other));
            self::assertLessThan(125, $one->difference($other));
        }
    }

    public function testWhatIsCalledTheSameIsNearAndWhatIsNotIsFar(): void
    {
        $near = [['#1f2a4d', '#22336b'], ['#5f2a4c', '#6a2a50'], ['#f4ecd4', '#f5f0e0']];
        $far = [['#1f2a4d', '#c22f2f'], ['#0f4a35', '#e29bb0'], ['#1c1d1f', '#fafafa']];
        foreach ($near as [$one, $other]) {
            self::assertLessThan(12, Lab::ofHex($one)->difference(Lab::ofHex($other)), $one);
        }
        foreach ($far as [$one, $other]) {
            self::assertGreaterThan(25, Lab::ofHex($one)->difference(Lab::ofHex($other)), $one);
        }
    }
}
