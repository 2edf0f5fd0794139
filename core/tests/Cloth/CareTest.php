<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Care;
use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CareTest extends TestCase
{
    /** @param array<string, int> $shares */
    #[DataProvider('mixes')]
    public function testTheMostDelicateFibreDecides(array $shares, string ...$says): void
    {
        $care = implode(' ', array_map('strval', (new Care())->advise(FibreMix::of($shares, Knowledge::Label))));
        foreach ($says as $part) {
            self::assertStringContainsString($part, $care);
        }
    }

    #[DataProvider('labels')]
    public function testALabelIsReadFromFreeWords(string $words, ?CareLabel $label): void
    {
        self::assertSame($label, CareLabel::of($words));
    }

    /** @return iterable<array{string, ?CareLabel}> */
    public static function labels(): iterable
    {
        yield ['Dry-clean only', CareLabel::DryClean];
        yield ['hand wash', CareLabel::Hand];
        yield ['washed by hand', CareLabel::Hand];
        yield ['wipe clean', CareLabel::Wipe];
        yield ['machine at 40', CareLabel::from('machine wash at 40 °C')];
        yield ['gently', null];
        yield ['140 g', null];
    }

    /** @return iterable<string, array<mixed>> */
    public static function mixes(): iterable
    {
        yield 'cotton' => [['cotton' => 100], '40 to 60 °C', 'three dots', 'cellulose'];
        yield 'a little wool' => [['cotton' => 90, 'wool' => 10], 'by hand or at 30 °C', 'with a cloth between', 'unevenly'];
        yield 'silk' => [['silk' => 100], 'acid dyes'];
        yield 'viscose' => [['viscose' => 95, 'elastane' => 5], 'weak while it is wet', 'synthetics melt', 'cellulose'];
        yield 'polyester' => [['polyester' => 65, 'cotton' => 35], '40 °C', 'hardly takes dye'];
        yield 'nobody knows' => [[], 'not known: follow the label'];
    }
}
