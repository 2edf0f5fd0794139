<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Svg;

use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Svg\SvgReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SvgReaderTest extends TestCase
{
    private const NS = 'xmlns="http://www.w3.org/2000/svg"';

    /** The same piece, 60 × 40 cm with a quarter circle of 10 cm taken out of one corner, written in other ways. */
    #[DataProvider('writings')]
    public function testAPieceIsTheSameInWhateverUnit(string $svg): void
    {
        $drawing = (new SvgReader())->read($svg);
        self::assertSame([], $drawing->leftOut);
        self::assertCount(1, $drawing->outlines);
        [$name, $outline] = $drawing->outlines[0];
        self::assertSame('Front', $name);
        self::assertEqualsWithDelta(600, $outline->length(), 0.5);
        self::assertEqualsWithDelta(400, $outline->width(), 0.5);
        self::assertEqualsWithDelta(240000 - (\M_PI / 4) * 10000, $outline->area(), 0.5 * 160);
        $corner = [$outline->left, $outline->bottom];
        foreach ($outline->points as [$x, $y]) {
            if ($x - $corner[0] < 99.9 && $y - $corner[1] < 99.9) {
                self::assertEqualsWithDelta(100, hypot($x - $corner[0], $y - $corner[1]), 0.5, 'a point of the curve');
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function writings(): iterable
    {
        $path = 'M100 0H600V400H0V100A100 100 0 0 0 100 0Z';
        yield 'mm' => [
            '<svg '.self::NS.' width="700mm" height="500mm" viewBox="0 0 700 500"><path id="Front" d="'.$path.'"/></svg>',
        ];
        yield 'inches, in groups within groups' => [
            '<svg '.
            self::NS.
            ' width="20in" height="20in" viewBox="0 0 2 2"><g id="Layer" transform="translate(.3 .2)"><g id="Front" transform="scale(.5)"><path transform="matrix('.
            1 / 127 .
            ' 0 0 '.
            1 / 127 .
            ' 0 0)" d="'.
            $path.
            '"/></g></g></svg>',
        ];
        $px = static fn (float $mm): string => (string) round(($mm * 96) / 25.4, 4);
        yield 'px, relative, a cubic' => [
            '<svg '.
            self::NS.
            '><title>Pieces</title><g><title>Front</title><path d="m'.
            $px(100).
            ' 0h'.
            $px(500).
            'v'.
            $px(400).
            'h-'.
            $px(600).
            'v-'.
            $px(300).
            'c'.
            $px(55.2285).
            ' 0 '.
            $px(100).
            '-'.
            $px(44.7715).
            ' '.
            $px(100).
            '-'.
            $px(100).
            'z"/></g></svg>',
        ];
        yield 'a stitching line within, and turned by 90 degrees twice' => [
            '<svg '.
            self::NS.
            ' width="2000mm" viewBox="0 0 2000 1000" height="1000mm"><g id="Front" transform="rotate(90) rotate(-90 3 4) translate(7,-7)"><path d="'.
            $path.
            '"/><rect x="120" y="120" width="300" height="200"/></g></svg>',
        ];
    }

    public function testShapesAndViewBoxes(): void
    {
        $drawing = (new SvgReader())->read(
            '<svg '.
                self::NS.
                ' width="100cm" height="100cm" viewBox="0 0 1000 1000"><polygon id="A" points="0,0 100,0 100,50"/><rect id="B" x="200" width="80" height="40" rx="10"/><ellipse id="C" cx="500" cy="500" rx="30" ry="60"/><svg x="700" y="0" width="200" height="100" viewBox="0 0 20 10"><rect id="D" width="10" height="5"/></svg><defs><rect id="pocket" width="70" height="80"/></defs><use href="#pocket" x="10" y="600"/><rect id="hidden" display="none" width="900" height="900"/></svg>',
        );
        self::assertSame(['A', 'B', 'C', 'D', 'pocket'], array_column($drawing->outlines, 0));
        self::assertEqualsWithDelta(
            [2500, 3200 - (4 - \M_PI) * 100, \M_PI * 1800, 5000, 5600],
            array_map(static fn (Outline $outline): float => $outline->area(), array_column($drawing->outlines, 1)),
            30,
        );
        self::assertTrue($drawing->scaled);
        self::assertFalse(
            (new SvgReader())->read('<svg '.self::NS.' viewBox="0 0 9 9"><rect width="300" height="200"/></svg>')->scaled,
        );
    }

    #[DataProvider('refused')]
    public function testWhatCouldDoHarmIsNotOpened(string $svg, string $says): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessageMatches('~'.$says.'~');
        (new SvgReader())->read($svg);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'cut off' => ['<svg '.self::NS.'><path d="M0 0', 'not a whole SVG'];
        yield 'empty' => ['', 'not a whole SVG'];
        yield 'something else' => ['<html/>', 'begins with'];
        yield 'a script' => ['<svg '.self::NS.'><script>alert(1)</script></svg>', 'could run'];
        yield 'a handler' => ['<svg '.self::NS.' onload="x()"/>', 'holds a script'];
        yield 'an entity' => [
            '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/hostname">]><svg '.self::NS.'><title>&x;</title></svg>',
            'entities',
        ];
        yield 'growing entities' => ['<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg '.self::NS.'>&b;</svg>', 'entities'];
        yield 'a picture from elsewhere' => ['<svg '.self::NS.'><image href="http://example.invalid/a.png"/></svg>', 'outside itself'];
        yield 'a file' => [
            '<svg '.self::NS.' xmlns:x="http://www.w3.org/1999/xlink"><use x:href="file:///etc/passwd#a"/></svg>',
            'outside itself',
        ];
        yield 'a style from elsewhere' => [
            '<svg '.self::NS.'><style>@import "http://example.invalid/a.css"</style></svg>',
            'in its styles',
        ];
    }

    public function testAnOutlineThatCrossesItselfIsLeftOutAndNamed(): void
    {
        $drawing = (new SvgReader())->read(
            '<svg '.
                self::NS.
                '><path id="bow" d="M0 0L100 100L100 0L0 100Z"/><rect id="good" y="300" width="90" height="90"/><path id="odd" d="M0 0 W 5"/><path d="M1 1L5 5"/></svg>',
        );
        self::assertSame(['good'], array_column($drawing->outlines, 0));
        self::assertSame(
            ['bow', 'odd', 1],
            array_map(static fn ($sentence) => $sentence->with['name'] ?? ($sentence->with['count'] ?? ''), $drawing->leftOut),
        );
    }

    /** Small files that would take minutes, or all memory, if they were drawn as they ask: each is read or refused within its budget. */
    #[DataProvider('hostile')]
    public function testNoFileTakesLongerThanAMoment(string $inside, ?string $says): void
    {
        $began = memory_get_usage();
        memory_reset_peak_usage();
        try {
            $drawing = (new SvgReader())->read('<svg '.self::NS.$inside.'</svg>');
            self::assertNull($says);
            self::assertLessThanOrEqual(201, \count($drawing->leftOut));
        } catch (Unreadable $unreadable) {
            self::assertSame($says, $unreadable->getMessage());
        }
        self::assertLessThan(100_000_000, memory_get_peak_usage() - $began);
    }

    /** @return iterable<string, array{string, ?string}> */
    public static function hostile(): iterable
    {
        $spent =
            'This drawing holds more lines and points than can be read here: save the pieces alone, without the rest of the drawing, or a few at a time.';
        yield 'a view box of next to nothing' => [' viewBox="0 0 1e-300 1e-300"><circle r="1"/>', null];
        yield 'scales beyond all numbers' => [
            '><g transform="scale(1e308) scale(1e308)"><circle r="5"/></g><rect width="1e400" height="5"/>',
            null,
        ];
        $uses = implode(
            '',
            array_map(
                static fn (int $i): string => '<g id="a'.$i.'">'.str_repeat('<use href="#a'.($i + 1).'"/>', 14).'</g>',
                range(0, 8),
            ),
        );
        yield 'each use of one holds fourteen of the next' => [
            '><defs>'.$uses.'<circle id="a9" r="50"/></defs><use href="#a0"/>',
            null,
        ];
        yield 'curves as long as a continent' => ['><path d="M0 0'.str_repeat('C1e9 0 0 1e9 1e9 1e9 ', 400).'Z"/>', null];
        yield 'circles as wide as the moon’s way' => ['>'.str_repeat('<circle r="1e9"/>', 5000), null];
        yield 'circles within circles' => [
            ' width="1m" viewBox="0 0 1000 1000">'.
            implode('', array_map(static fn (int $i): string => '<circle cx="'.$i.'" r="'.(1000 + ($i % 97)).'"/>', range(1, 5000))),
            $spent,
        ];
        yield 'a transform of a hundred thousand steps' => [
            '><g transform="'.str_repeat('translate(1,1) ', 100_000).'"><rect width="50" height="50"/></g>',
            null,
        ];
        yield 'paths of thousands of points that cross' => [
            '>'.
            str_repeat(
                '<path d="M0 0'.
                    implode(' ', array_map(static fn (int $i): string => 'L'.($i * 7919) % 1000 .' '.$i, range(1, 1200))).
                    'Z"/>',
                250,
            ),
            $spent,
        ];
        yield 'a path of half a million points' => ['><path d="M0 0'.str_repeat(' 977 991', 500_000).'Z"/>', null];
    }

    public function testThousandsOfNamedGroupsAreReadEachOnce(): void
    {
        $groups = array_map(
            static fn (int $i): string => '<g><title>t'.$i.'</title><rect x="'.$i.'" width="50" height="50"/></g>',
            range(1, 6000),
        );
        $drawing = (new SvgReader())->read('<svg '.self::NS.'>'.implode('', $groups).'</svg>');
        self::assertCount(300, $drawing->outlines);
        self::assertStringContainsString('5700 outlines were left out: 300 can be taken from one file', (string) $drawing->leftOut[0]);
    }
}
