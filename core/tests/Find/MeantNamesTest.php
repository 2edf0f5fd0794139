<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Find;

use Octavum\Core\Find\MeantNames;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeantNamesTest extends TestCase
{
    private const NAMES = [
        'Navy twill, 2.10 m, 140 cm',
        'Navy twill lining, 1.50 m, 150 cm',
        'Heron lawn, the long one, 3 m, 112 cm',
        'Heron lawn, 1 m, 112 cm',
        'Moss tweed, 2 m, 150 cm',
    ];

    /** @param list<int> $meant places in the names */
    #[DataProvider('typed')]
    public function testFindsTheNamesThatATextMayMean(string $typed, array $meant, bool $isGuess, ?int $only): void
    {
        $found = MeantNames::find($typed, self::NAMES);
        self::assertSame(array_map(static fn (int $i): string => self::NAMES[$i], $meant), $found->names);
        self::assertSame($isGuess, $found->isGuess);
        self::assertSame(null === $only ? null : self::NAMES[$only], $found->only());
    }

    /** @return iterable<string, array{string, list<int>, bool, ?int}> */
    public static function typed(): iterable
    {
        yield 'in full' => ['Heron lawn, 1 m, 112 cm', [3], false, 3];
        yield 'in full, in small letters' => ['heron lawn, 1 m, 112 cm ', [3], false, 3];
        yield 'its first part, though another begins so' => ['navy twill', [0], false, 0];
        yield 'the first part of two' => ['Heron lawn', [2, 3], false, null];
        yield 'words of one' => ['long heron', [2], false, 2];
        yield 'words of several' => ['navy', [0, 1], false, null];
        yield 'a slip is a guess' => ['nvy twil lining', [1], true, null];
        yield 'nothing' => ['', [], true, null];
        yield 'not there' => ['velvet', [], true, null];
    }
}
