<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Cautions;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CautionsTest extends TestCase
{
    /** @param list<string> $words one of each sentence, in order */
    #[DataProvider('things')]
    public function testTheKindOfThingCounts(Garment $garment, ?ClothType $type, bool $child, array $words): void
    {
        $project = new Project(
            'p',
            'P',
            Plan::season(),
            1,
            brief: new ProjectBrief(new Person('who', 'Suvi', $child)),
            current: new Option(
                '',
                new Pattern('k', 'K', makes: new PatternGarment(garment: $garment)),
                claims: null === $type ? [] : [
                    new Claim('c', Role::Main, new Cloth('cloth', 'Cloth', material: new Material(type: $type))),
                ],
            ),
        );
        $said = array_map(static fn (Sentence $sentence): string => (string) $sentence, (new Cautions())->collect($project));
        self::assertCount(\count($words), $said, implode("\n", $said));
        foreach ($words as $i => $word) {
            self::assertStringContainsString($word, $said[$i]);
        }
    }

    /** @return iterable<string, array{Garment, ?ClothType, bool, list<string>}> */
    public static function things(): iterable
    {
        yield 'a skirt of lawn' => [Garment::Skirt, ClothType::Lawn, false, []];
        yield 'a skirt for a child' => [Garment::Skirt, null, true, ['can be swallowed']];
        yield 'a toy is a baby’s, whoever asked for it' => [Garment::Toy, ClothType::Fleece, false, ['under three years']];
        yield 'a toy for a child' => [Garment::Toy, null, true, ['can be swallowed']];
        yield 'a bib' => [Garment::Bib, null, false, ['under three years', 'gives way']];
        yield 'a quilt of flannel' => [Garment::Quilt, ClothType::Flannel, false, ['not for a cot', 'stove']];
        yield 'a cushion' => [Garment::Cushion, ClothType::Velvet, false, ['not for a cot']];
        yield 'a curtain' => [Garment::Curtain, null, false, ['strangle']];
        yield 'pyjamas of flannel, for anybody' => [Garment::Nightwear, ClothType::Flannel, false, ['flammability', 'catches fire']];
        yield 'pyjamas of poplin' => [Garment::Nightwear, ClothType::Poplin, false, ['flammability']];
        yield 'a jumper of fleece' => [Garment::Jumper, ClothType::Fleece, false, ['catches fire']];
    }
}
