<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Find;

use Octavum\Core\Find\Forgiving;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ForgivingTest extends TestCase
{
    private const TEXTS = [
        'a' => 'Heron lawn, cotton, locker 2',
        'b' => 'Market crêpe, viscose',
        'c' => 'Lock-keeper trousers K204',
        'd' => 'Tiller tee, T-shirt',
        'e' => 'Toile cotton',
        'f' => 'Fern jersey, cotton elastane',
        'g' => 'Cottonwood print',
    ];

    /** @param list<string> $keys */
    #[DataProvider('queries')]
    public function testWordsAreFoundThroughSlipsAndOtherWords(string $query, array $keys): void
    {
        self::assertSame($keys, (new Forgiving())->find($query, self::TEXTS, 8));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function queries(): iterable
    {
        yield 'as it is written' => ['heron', ['a']];
        yield 'its beginning' => ['her', ['a']];
        yield 'a letter missing' => ['jersy', ['f']];
        yield 'one missing of four' => ['lwn', ['a']];
        yield 'one wrong of three is no slip' => ['twe', []];
        yield 'a slip in a word not typed to its end' => ['trosu', ['c']];
        yield 'two swapped' => ['hreon', ['a']];
        yield 'two wrong in a long word' => ['trouserz', ['c']];
        yield 'another word' => ['rayon', ['b']];
        yield 'a third' => ['muslin', ['e']];
        yield 'pants' => ['pants', ['c']];
        yield 'without the accent' => ['crepe', ['b']];
        yield 'every word is wanted' => ['cotton jersey', ['f']];
        yield 'in the order of how well' => ['cotton', ['e', 'a', 'f', 'g']];
        yield 'a number' => ['k204', ['c']];
        yield 'digits alone' => ['2', ['a']];
        yield 'a number is not a slip' => ['K205', []];
        yield 'nothing' => ['velvet', []];
        yield 'no words' => [' <>! ', []];
    }
}
