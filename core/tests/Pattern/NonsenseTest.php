<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Pattern;

use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Notion\NotionReader;
use Octavum\Core\PatternLine\LineReader;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever is pasted, a reader answers with a value or with a sentence, and drops nothing. */
final class NonsenseTest extends TestCase
{
    private const PARTS = [
        '8',
        '20-8',
        '1/0',
        '½',
        '999999999999',
        '-',
        '–',
        '"',
        "'",
        '%',
        ',',
        ';',
        '/',
        '=',
        '?',
        "\t",
        "\n",
        'bust',
        'finished',
        'size',
        'S-XL',
        'cm',
        'in',
        'yd',
        '5 buttons',
        'zip',
        'PDF',
        'Q112',
        '🦆',
        "\xC3\x28",
        '<script>',
        '{count, plural}',
        '(((',
        '\\',
        'é',
        '×',
        '0',
        'K204/K871',
        'needs',
        'by',
        '40% stretch',
        'sheer',
    ];

    public function testNoReaderFallsOverNonsense(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $sentences = 0;
        for ($round = 0; $round < 3_000; ++$round) {
            $text = '';
            for ($i = 0, $length = $random->getInt(0, 12); $i < $length; ++$i) {
                $text .= self::PARTS[$random->getInt(0, \count(self::PARTS) - 1)].(0 === $random->getInt(0, 3) ? '' : ' ');
            }
            try {
                (new SizeChartReader())->read($text, Unit::Centimetre);
            } catch (Unreadable $unreadable) {
                ++$sentences;
                self::assertNotSame('', (string) $unreadable->sentence);
            }
            $line = strtr($text, "\n", ' ');
            $pattern = (new LineReader())->read($line);
            self::assertNotSame('' !== trim(mb_scrub($line)) ? '' : 'nothing to call it by', $pattern->pattern()->title, $line);
            self::assertLessThanOrEqual(120, mb_strlen($pattern->title));
            self::assertSame($pattern->text, $pattern->pattern()->keeping->notes);
            $notion = (new NotionReader())->read(mb_scrub($line), withPlace: true);
            self::assertTrue(null === $notion->length || $notion->length->micrometres > 0);
            $cloth = (new HaulReader())->read($line, System::Metric);
            self::assertGreaterThanOrEqual(1, $cloth->cuts->count);
        }
        self::assertGreaterThan(1_000, $sentences, 'most nonsense is no chart');
    }

    public function testAnEndlessLineIsReadInNoTime(): void
    {
        $line = str_repeat('8-20 , ', 3_000);
        self::assertNotSame([], (new LineReader())->read($line)->unread);
        self::assertSame('', (new NotionReader())->read(str_repeat('9', 40_000))->place);
        $this->expectException(Unreadable::class);
        (new SizeChartReader())->read(str_repeat("8 10 12\n", 2_000), Unit::Centimetre);
    }
}
