<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Pattern;

use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Piece\Garment;
use Octavum\Room\Pattern\PatternFilter;
use Octavum\Store\Pattern\PatternTitle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PatternFilterTest extends TestCase
{
    /** @param list<string> $ids */
    #[DataProvider('filters')]
    public function testWhichPatternsAndInWhatOrder(PatternFilter $filter, array $ids): void
    {
        self::assertSame($ids, $filter->filter(self::library()));
    }

    /** @return iterable<string, array{PatternFilter, list<string>}> */
    public static function filters(): iterable
    {
        yield 'by garment, then by title' => [new PatternFilter(), ['tee', 'bow', 'smoke', 'moth', 'coat']];
        yield 'a garment' => [new PatternFilter(Garment::Shirt), ['bow', 'smoke']];
        yield 'a number, and another number' => [new PatternFilter(words: 'k871'), ['moth']];
        yield 'two words anywhere' => [new PatternFilter(words: 'sallowmere S-40'), ['bow']];
        yield 'a garment as a word' => [new PatternFilter(words: 'dress'), ['moth']];
        yield 'a slip' => [new PatternFilter(words: 'smokhouse'), ['smoke']];
        yield 'nothing like it' => [new PatternFilter(words: 'zeppelin'), []];
        yield 'without buttonholes; who says nothing is let through' => [
            new PatternFilter(without: ['buttonholes']),
            ['tee', 'smoke', 'moth', 'coat'],
        ];
        yield 'without either' => [new PatternFilter(without: ['buttonholes', 'lining', 'nonsense']), ['tee', 'smoke', 'moth']];
        yield 'borrowed' => [new PatternFilter(ownership: Ownership::Borrowed), ['moth']];
    }

    public function testTheCountsFollowAllButTheGarment(): void
    {
        self::assertEquals(
            ['T-shirt' => 1, 'shirt' => 2, 'dress' => 1, 'coat' => 1],
            (new PatternFilter(Garment::Coat))->counts(self::library()),
        );
        self::assertEquals(
            ['T-shirt' => 1, 'shirt' => 1, 'dress' => 1],
            (new PatternFilter(Garment::Coat, without: ['buttonholes', 'lining']))->counts(self::library()),
        );
        self::assertEquals(['shirt' => 1], (new PatternFilter(words: 'sallowmere bow'))->counts(self::library()));
    }

    /** @return list<PatternTitle> */
    private static function library(): array
    {
        $title = static fn (
            string $id,
            string $title,
            string $maker,
            string $number,
            Garment $garment,
            array $techniques = [],
            Ownership $ownership = Ownership::Owned,
            string ...$others,
        ): PatternTitle => new PatternTitle(
            $id,
            $title,
            $maker,
            $number,
            array_values($others),
            $garment,
            '',
            $ownership,
            [] === $techniques ? [] : ['techniques' => $techniques],
        );

        return [
            $title('coat', 'Towpath coat', 'Marrowlane', 'T118', Garment::Coat, ['lining']),
            $title('smoke', 'Smokehouse overshirt', 'Marrowlane', 'T090', Garment::Shirt),
            $title('tee', 'Tiller tee', 'Sallowmere', 'S-3', Garment::Tee, ['knit bands']),
            $title('bow', 'Bow-locker shirt', 'Sallowmere', 'S-40', Garment::Shirt, ['collar stand', 'buttonholes']),
            $title('moth', 'Moth slip', 'Tallowbridge', 'K55', Garment::Dress, ['bias finish'], Ownership::Borrowed, 'K871'),
        ];
    }
}
