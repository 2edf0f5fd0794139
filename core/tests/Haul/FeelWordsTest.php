<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Haul;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\System;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FeelWordsTest extends TestCase
{
    #[DataProvider('lines')]
    public function testWordsForHowAClothFallsHidesAndStretchesAreRead(string $text, Feel $feel, string $fibres): void
    {
        $line = (new HaulReader())->read($text, System::Metric);
        self::assertEquals($feel, $line->material->feel);
        self::assertSame(
            [1500, 1400, $fibres],
            [$line->cuts->length?->millimetres(), $line->width?->millimetres(), $line->material->fibres->typed()],
        );
    }

    /** @return iterable<string, array{string, Feel, string}> */
    public static function lines(): iterable
    {
        foreach (
            [
                [
                    '1.5m 140cm viscose crepe, drapey, slightly sheer',
                    new Feel(null, null, Drape::Flowing, Opacity::SlightlySheer),
                    '100 viscose',
                ],
                ['1.5m cotton organza 140 wide crisp see-through', new Feel(null, null, Drape::Crisp, Opacity::Sheer), '100 cotton'],
                ['1.5m 140cm sheer cotton voile', new Feel(null, null, null, Opacity::Sheer), '100 cotton'],
                ['1.5m 140cm 95 cotton 5 elastane jersey 40% stretch', new Feel(40), '95 cotton, 5 elastane'],
                ['1.5m 140cm ponte stretches 25 % opaque', new Feel(25, null, null, Opacity::Opaque), ''],
                ['1.5m 140cm cotton drill, firm', new Feel(null, null, Drape::Firm), '100 cotton'],
            ] as $line
        ) {
            yield $line[0] => $line;
        }
    }
}
