<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\NameGuess;
use Octavum\Core\Cloth\NameTable;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Warmth;
use Octavum\Core\Cloth\Weight;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NameTableTest extends TestCase
{
    #[DataProvider('printed')]
    public function testEachNameTellsWhatTheTablePrints(
        string $word,
        string $grams,
        string $drape,
        string $opacity,
        string $stretch,
        string $edges,
        string $warmth,
    ): void {
        foreach ([$word, '2 m '.$word, mb_strtoupper($word), $word.', dark green'] as $name) {
            $guess = self::guess($name);
            self::assertSame(
                [$grams, $drape, $opacity, $stretch, $edges, $warmth],
                [
                    implode('-', $guess->grams ?? []),
                    implode('-', $guess->drape ?? []),
                    $guess?->opacity?->value,
                    implode('-', $guess->stretch ?? []),
                    $guess->edges->value ?? '',
                    [Warmth::Warm->value => 'cool', Warmth::Cold->value => 'warm'][$guess->warmth->value ?? ''] ?? 'any',
                ],
                $name,
            );
        }
    }

    /** @return iterable<string, list<string>> */
    public static function printed(): iterable
    {
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/names.tsv'))) as $line) {
            if (!str_starts_with($line, '#')) {
                yield $line => explode("\t", $line);
            }
        }
    }

    /** @return iterable<string, array{string, ?string}> */
    public static function names(): iterable
    {
        yield 'the last word is the cloth' => ['denim-blue jersey', 'jersey'];
        yield 'a fibre is one only where nothing else is' => ['linen cotton canvas', 'canvas'];
        yield 'alone it is the cloth' => ['linen cotton mix', 'linen'];
        yield 'what only looks like it is not' => ['linen-look polyester', null];
        yield 'the longer name goes before' => ['navy viscose twill', 'viscose twill'];
        yield 'stretch stands apart' => ['stretch black denim', 'stretch denim'];
        yield 'a light colour is no light cloth' => ['light blue denim', 'denim'];
        yield 'a fibre alone tells no cloth' => ['grey wool', null];
        yield 'nothing' => ['Grandmother’s', null];
        yield 'a word inside another' => ['duckling print', null];
    }

    #[DataProvider('names')]
    public function testWhichWordOfANameCounts(string $name, ?string $word): void
    {
        self::assertSame($word, self::guess($name)?->word);
    }

    public function testAFibreShiftsHowItFalls(): void
    {
        self::assertSame([4, 4], self::guess('silk lawn')?->drape, 'silk: one step more');
        self::assertSame([1, 2], self::guess('linen poplin')?->drape, 'linen: one step less');
        self::assertSame([2, 3], self::guess('linen')?->drape, 'the row is of linen already');
        self::assertSame([5, 5], self::guess('silk chiffon')?->drape, 'there is no more than fluid');
        $viscose = new Material(type: ClothType::Satin, fibres: FibreMix::of(['viscose' => 100], Knowledge::Label));
        self::assertSame([5, 5], (new NameTable())->find(new Cloth('c', 'Plum', material: $viscose))?->drape, 'also by its label');
    }

    public function testPaleIsAStepSheererWhereItIsLight(): void
    {
        self::assertSame(Opacity::SlightlySheer, self::guess('white poplin')?->opacity);
        self::assertSame(Opacity::Sheer, self::guess('ivory double gauze')?->opacity);
        self::assertSame(Opacity::Opaque, self::guess('white denim')?->opacity);
        $pale = new Cloth('c', 'poplin', look: new ClothLook(colours: ['#f6f2e8']));
        self::assertSame(Opacity::SlightlySheer, (new NameTable())->find($pale)?->opacity, 'by its colour too');
    }

    public function testWhiteLinenIsSheerWhereItIsLightAndAskedWhereNobodyKnows(): void
    {
        $at = static fn (?int $grams): ?Opacity => (new NameTable())->find(
            new Cloth('c', 'white linen', material: new Material(weight: null === $grams ? null : Weight::ofGrams($grams))),
        )?->opacity;
        self::assertSame(Opacity::Sheer, $at(159));
        self::assertSame(Opacity::Opaque, $at(160));
        self::assertNull($at(null));
    }

    public function testAWovenCalledStretchGivesAHandOfIt(): void
    {
        self::assertSame([5, 20], self::guess('stretch poplin')?->stretch);
        self::assertSame([15, 15], self::guess('poplin with elastane')?->stretch);
        self::assertSame([20, 30], self::guess('denim with elastane')?->stretch, 'that is a stretch denim');
    }

    /** A type was chosen: a name of another kind is only a name. */
    public function testTheTypeGoesBeforeTheName(): void
    {
        $find = static fn (ClothType $type, string $name): ?string => (new NameTable())->find(
            new Cloth('c', $name, material: new Material(type: $type)),
        )?->word;
        self::assertSame('jersey', $find(ClothType::Jersey, 'Denim river'));
        self::assertSame('light denim', $find(ClothType::Denim, 'light denim'));
        self::assertSame('linen gauze', $find(ClothType::Linen, 'Clay linen gauze'));
        self::assertSame('twill', $find(ClothType::Twill, 'Umber'));
        self::assertNull($find(ClothType::FauxFur, 'Bear'));
    }

    private static function guess(string $name): ?NameGuess
    {
        return (new NameTable())->find(new Cloth('c', $name));
    }
}
