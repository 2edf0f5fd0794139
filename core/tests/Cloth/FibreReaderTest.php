<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\FibreReader;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Measure\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FibreReaderTest extends TestCase
{
    /** @param array<string, int> $shares */
    #[DataProvider('written')]
    public function testReadsFibresAsPeopleWriteThem(string $text, array $shares): void
    {
        self::assertSame($shares, (new FibreReader())->read($text, Knowledge::Label)->shares);
    }

    /** @param array<string, int> $shares */
    #[DataProvider('written')]
    public function testReadsBackWhatAMixIsTypedAs(string $text, array $shares): void
    {
        $typed = (new FibreReader())->read($text, Knowledge::Label)->typed();

        self::assertSame($shares, (new FibreReader())->read($typed, Knowledge::Label)->shares);
    }

    public function testAMixIsTypedTheLargestShareFirst(): void
    {
        self::assertSame(
            '62 modal, 33 cotton, 5 elastane',
            (new FibreReader())->read('5 elastane 33 cotton 62 modal', Knowledge::Label)->typed(),
        );
        self::assertSame('', FibreMix::unknown()->typed());
    }

    /** @return iterable<string, array{string, array<string, int>}> */
    public static function written(): iterable
    {
        yield 'one alone' => ['Cotton', ['cotton' => 100]];
        yield 'share first' => ['62 modal 33 cotton 5 elastane', ['modal' => 62, 'cotton' => 33, 'elastane' => 5]];
        yield 'fibre first, with signs' => ['linen 55 %, rayon 45%', ['linen' => 55, 'viscose' => 45]];
        yield 'the same twice' => ['60 viscose 40 rayon', ['viscose' => 100]];
        yield 'unknown' => ['?', []];
        yield 'names without shares' => ['linen viscose', ['linen' => 0, 'viscose' => 0]];
        yield 'a mix' => ['wool mix', ['wool' => 0, 'other' => 0]];
        yield 'polycotton' => ['polycotton', ['polyester' => 0, 'cotton' => 0]];
        yield 'with and' => ['cotton and linen', ['cotton' => 0, 'linen' => 0]];
    }

    #[DataProvider('nonsense')]
    public function testSaysWhatIsWrong(string $text, string $part): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($part);
        (new FibreReader())->read($text, Knowledge::Label);
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        yield 'too much' => ['80 cotton 40 linen', 'add up to 120 %'];
        yield 'a share missing' => ['60 cotton and linen', 'cannot be read as fibres'];
        yield 'not a fibre' => ['100 moonbeam', '“moonbeam” is not a fibre'];
        yield 'part of a per cent' => ['99.5 cotton 0.5 elastane', 'whole numbers'];
    }
}
