<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Sewing;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Sewing\Needle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The needles of docs/rules.md, transcribed by hand. */
final class NeedleTest extends TestCase
{
    /** @param array<string, int> $fibres */
    #[DataProvider('cloths')]
    public function testTheNeedleForTheCloth(
        ?ClothType $type,
        array $fibres,
        ?int $grams,
        string $needle,
        string $stitch,
        string $press,
    ): void {
        $cloth = new Cloth(
            'c',
            'Cloth',
            material: new Material(
                type: $type,
                fibres: [] === $fibres ? null : FibreMix::of($fibres, Knowledge::Label),
                weight: null === $grams ? null : Weight::ofGrams($grams),
            ),
        );
        $for = (new Needle())->advise($cloth);
        self::assertStringContainsString($needle, (string) $for['needle']);
        self::assertStringContainsString($stitch, (string) $for['stitch']);
        self::assertStringContainsString($press, (string) $for['press']);
    }

    /** @return iterable<string, array{?ClothType, array<string, int>, ?int, string, string, string}> */
    public static function cloths(): iterable
    {
        yield 'jersey' => [ClothType::Jersey, ['cotton' => 100], 180, 'stretch or ball point, 75', 'zigzag', 'hot'];
        yield 'jersey with elastane' => [ClothType::Jersey, ['cotton' => 95, 'elastane' => 5], 180, 'stretch, 75 or 90', 'zigzag', 'cool'];
        yield 'denim' => [ClothType::Denim, ['cotton' => 100], 400, 'jeans, 90 to 100', '3 mm', 'hot'];
        yield 'silk' => [null, ['silk' => 100], 90, 'microtex, 60 or 70', '2.0 to 2.2', 'low'];
        yield 'lawn' => [ClothType::Lawn, ['cotton' => 100], 90, '70', '2.0 to 2.2', 'hot'];
        yield 'linen' => [ClothType::Linen, ['linen' => 100], 200, 'universal, 80', '2.5', 'damp'];
        yield 'coating' => [ClothType::Coating, ['wool' => 100], 500, '100', '3 mm', 'steam'];
        yield 'velvet' => [ClothType::Velvet, ['viscose' => 100], 250, 'universal, 90', '3 mm', 'towel'];
        yield 'nothing known' => [null, [], null, 'its weight is not known', '2.5', 'the fibres are not known'];
    }
}
