<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Fit;

use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SizeChartReaderTest extends TestCase
{
    /**
     * @param list<string>     $sizes
     * @param list<float|null> $cells in millimetres
     */
    #[DataProvider('charts')]
    public function testAChartIsReadAsItIsWritten(string $text, array $sizes, string $point, array $cells): void
    {
        $chart = (new SizeChartReader())->read($text, Unit::Centimetre);
        self::assertSame($sizes, $chart->sizes);
        $row = str_starts_with($point, 'finished ') ? $chart->finished[substr($point, 9)] : $chart->body[$point];
        self::assertEquals($cells, array_map(static fn (string $size): float|int|null => ($row[$size] ?? null)?->millimetres(), $sizes));
    }

    /** @return iterable<string, array{string, list<string>, string, list<float|null>}> */
    public static function charts(): iterable
    {
        yield 'blanks' => ["size 8 10 12\nbust 80 83 87", ['8', '10', '12'], 'bust', [800, 830, 870]];
        yield 'tabs, as pasted' => ["\tXS\tS\tM\nHips (cm)\t85\t88\t92,5", ['XS', 'S', 'M'], 'hip', [850, 880, 925]];
        yield 'inches with fractions' => ["Sizes: 8, 10, 12\nwaist in 24 24½ 25 1/2", ['8', '10', '12'], 'waist', [609.6, 622.3, 647.7]];
        yield 'inches with a hyphen' => ["6 8\nbust (in) 30-1/2 31-1/2", ['6', '8'], 'bust', [774.7, 800.1]];
        yield 'ranges by their upper end' => ["S M L\nchest 80-84 85 – 90 91-96", ['S', 'M', 'L'], 'bust', [840, 900, 960]];
        yield 'a gap' => ["S M L\nheight - 168 172", ['S', 'M', 'L'], 'height', [null, 1680, 1720]];
        yield 'a dash between blanks is a gap where a range would leave too few' => [
            "8 10 12\nbust 80 - 87",
            ['8', '10', '12'],
            'bust',
            [800, null, 870],
        ];
        yield 'and a range where it would not' => ["S M\nbust 80 - 84 85 - 90", ['S', 'M'], 'bust', [840, 900]];
        yield 'high bust is not bust' => ["S M\nhigh bust 78 82\nbust 80 84", ['S', 'M'], 'high bust', [780, 820]];
        yield 'the garment' => ["S M\nbust 80 84\nfinished bust 90 94", ['S', 'M'], 'finished bust', [900, 940]];
        yield 'bars' => ["size | 2T | 3T\nheight | 92 | 98", ['2T', '3T'], 'height', [920, 980]];
    }

    #[DataProvider('faults')]
    public function testWhatIsWrongIsSaid(string $text, string $says): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($says);
        (new SizeChartReader())->read($text, Unit::Centimetre);
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        yield 'no sizes' => ["bust 80 83\nwaist 60 63", 'names its sizes'];
        yield 'too many cells' => ["8 10\nbust 80 83 87", '3 figures for 2 sizes'];
        yield 'no point' => ["8 10\n🦆 80 83", 'does not begin with a point of the body'];
        yield 'falling' => ["8 10\nbust 83 80", 'becomes smaller'];
        yield 'twice the same line' => ["8 10\nbust 80 83\nchest 81 84", 'two lines for the bust'];
        yield 'twice the same size' => ["8 8\nbust 80 83", 'A size stands twice'];
        yield 'a novel' => [str_repeat('many ', 40)."\nbust 1", 'read as 40 sizes'];
    }

    public function testWhatIsWrittenIsReadAgain(): void
    {
        $reader = new SizeChartReader();
        $chart = $reader->read("8 10 12\nbust 80 83.5 -\nfinished bust 90 94 98", Unit::Centimetre);
        foreach ([System::Metric, System::Imperial] as $system) {
            $again = $reader->read($reader->write($chart, new LengthFormatter($system)), $system->widthUnit());
            self::assertEquals($chart->sizes, $again->sizes);
            foreach ($chart->body['bust'] as $size => $length) {
                self::assertLessThan(
                    1_600,
                    abs($length->minus($again->body['bust'][$size] ?? Length::zero())->micrometres),
                    'within a sixteenth of an inch',
                );
            }
        }
        self::assertSame([], $reader->read(" \n ", Unit::Centimetre)->sizes);
    }
}
