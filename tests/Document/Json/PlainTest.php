<?php

declare(strict_types=1);

namespace Octavum\Tests\Document\Json;

use Octavum\Document\Json\Plain;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlainTest extends TestCase
{
    #[DataProvider('texts')]
    public function testWhatIsTypedIsKeptAsPlainText(string $typed, string $kept): void
    {
        self::assertSame($kept, Plain::of($typed));
        self::assertTrue(Plain::is($kept));
    }

    /** @return iterable<string, array{string, string}> */
    public static function texts(): iterable
    {
        yield 'as it is' => ["½ gross of hooks\tand\neyes", "½ gross of hooks\tand\neyes"];
        yield 'half a character' => ["a\xffb\xc2", 'a?b?'];
        yield 'control characters' => ["a\0b\x1b[31mc\x7f\u{85}", 'ab[31mc'];
        yield 'line ends of every kind' => ["a\r\nb\rc", "a\nb\nc"];
        yield 'marks that turn the direction of writing' => ["a\u{202e}b", 'ab'];
        yield 'a family, held together by joiners' => ["\u{1f469}\u{200d}\u{1f467}", "\u{1f469}\u{200d}\u{1f467}"];
    }

    public function testNamesOfFieldsArePlainToo(): void
    {
        self::assertSame(['a' => ['b' => ['c'], 3 => 1]], Plain::all(["a\0" => ["b\x07" => ["c\x07"], 3 => 1]]));
    }
}
