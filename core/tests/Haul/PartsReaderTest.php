<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Haul;

use Octavum\Core\Haul\PartsReader;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PartsReaderTest extends TestCase
{
    /** @param array{string, int, int|float, int|float} $part name, count, millimetres along and across */
    #[DataProvider('lines')]
    public function testALineIsReadAsItIsSaid(string $line, array $part, Unit $usual = Unit::Centimetre): void
    {
        $read = (new PartsReader())->read([$line], $usual)[0];
        self::assertEquals($part, [$read->name, $read->count, $read->length->millimetres(), $read->width->millimetres()]);
    }

    /** @return iterable<string, array{0: string, 1: array{string, int, int|float, int|float}, 2?: Unit}> */
    public static function lines(): iterable
    {
        yield 'a unit for both' => ['back 75 × 60 cm', ['back', 1, 750, 600]];
        yield 'no unit' => ['back 75 x 60', ['back', 1, 750, 600]];
        yield 'several, and a comma as a point' => ['2 sleeves 55,5 x 40', ['sleeves', 2, 555, 400]];
        yield 'metres and centimetres' => ['sheet: 2.2 m × 140 cm', ['sheet', 1, 2200, 1400]];
        yield 'nothing but a size' => ['45 × 110 cm', ['', 1, 450, 1100]];
        yield 'inches by their sign' => ['yoke 8½" × 18"', ['yoke', 1, 215.9, 457.2]];
        yield 'inches where they are usual' => ['4 pockets 7 by 6½', ['pockets', 4, 177.8, 165.1], Unit::Inch];
        yield 'a name with a figure in it' => ['panel 3, 90 × 30 cm', ['panel 3', 1, 900, 300]];
        yield 'a star' => ['cuff 30*12', ['cuff', 1, 300, 120]];
    }

    #[DataProvider('nonsense')]
    public function testWhatCannotBeReadIsNamed(string $line, string $says): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessageMatches('~'.$says.'~');
        (new PartsReader())->read(['back 75 × 60', $line], Unit::Centimetre);
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        yield 'words' => ['the rest of it', 'the rest of it'];
        yield 'one figure' => ['back 75', 'length × width'];
        yield 'markup' => ['<script>alert(1)</script>', 'cannot be read'];
        yield 'none of them' => ['0 sleeves 55 × 40', 'how many'];
        yield 'below zero' => ['sleeve -3 × 40', 'below zero'];
        yield 'no length' => ['sleeve 0 × 40', 'more than zero'];
        yield 'wider than any cloth' => ['sail 300 × 900 cm', '3.30 m'];
        yield 'longer than any cut' => ['sail 101 m × 90 cm', '100 m'];
        yield 'more than anybody cuts up' => ['51 squares 10 × 10', '52 pieces are more than the 50'];
    }
}
