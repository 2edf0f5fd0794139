<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\BestUse;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Width;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Remedy\LaidAtOnce;
use Octavum\Core\Season\BestUse\BestUse;
use Octavum\Core\Season\BestUse\ClothChange;
use Octavum\Core\Season\BestUse\Proposed;
use Octavum\Core\Season\BestUse\Sooner;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/** A dress that wants 2 m of light, soft cloth, and has 1.50 m: what may take its place. */
final class BestUseTest extends TestCase
{
    public function testClothThatIsKnownToSuitIsProposed(): void
    {
        self::assertSame(['Lawn'], $this->proposed([$this->cloth('Lawn', ClothType::Lawn)]));
    }

    public function testWhatNothingIsKnownAboutIsNot(): void
    {
        self::assertSame([], $this->proposed([$this->cloth('Found in a box', null, new Feel(), null)]));
        $silent = new ClothAdvice();
        self::assertSame(
            [],
            $this->proposed([$this->cloth('Lawn', ClothType::Lawn)], advice: $silent),
            'nor for a pattern that says nothing',
        );
    }

    public function testClothForToilesAndLiningsIsNot(): void
    {
        self::assertSame([], $this->proposed([$this->cloth('Toile calico', ClothType::Lawn)]));
        self::assertSame([], $this->proposed([$this->cloth('Grey twill', ClothType::Lining)]));
    }

    public function testWhatTheSewistHasOverruledIs(): void
    {
        $lining = $this->cloth('Grey twill', ClothType::Lining);
        $reason = [Overrule::key($lining->id, 'A') => 'it is a slip dress'];
        self::assertSame(['Grey twill'], $this->proposed([$lining], overruled: $reason));
    }

    public function testALayThatIsEnoughComesBeforeAnotherCloth(): void
    {
        $proposed = $this->best([$this->cloth('Lawn', ClothType::Lawn)], [], $this->version('A', '2', true));
        self::assertSame([], $proposed->changes);
        self::assertSame([null], array_map(static fn (Sooner $one): ?string => $one->version?->name, $proposed->sooner));
    }

    public function testAnotherVersionThatFitsComesBeforeAnotherCloth(): void
    {
        $proposed = $this->best([$this->cloth('Lawn', ClothType::Lawn)], [], $this->version('A', '2'), [$this->version('B', '1.2')]);
        self::assertSame([], $proposed->changes);
        self::assertSame(['B'], array_map(static fn (Sooner $one): ?string => $one->version?->name, $proposed->sooner));
    }

    /**
     * @param list<Cloth>           $others
     * @param array<string, string> $overruled
     *
     * @return list<string> cloths
     */
    private function proposed(array $others, ?ClothAdvice $advice = null, array $overruled = []): array
    {
        $proposed = $this->best($others, $overruled, $this->version('A', '2'), [], $advice);

        return array_map(static fn (ClothChange $change): string => $change->cloth->name, $proposed->changes);
    }

    /**
     * @param list<Cloth>           $others
     * @param array<string, string> $overruled
     * @param list<Version>         $more      versions of the pattern
     */
    private function best(array $others, array $overruled, Version $version, array $more = [], ?ClothAdvice $advice = null): Proposed
    {
        $advice ??= new ClothAdvice(lightest: WeightClass::Light, heaviest: WeightClass::Light, crispest: Drape::Soft);
        $pattern = new Pattern(
            'p',
            'Dress',
            makes: new PatternGarment(garment: Garment::Dress, advice: $advice),
            versions: [$version, ...$more],
        );
        $own = $this->cloth('Own', ClothType::Lawn, length: '1.5');
        $project = new Project(
            'd',
            'Dress',
            Plan::season(),
            1,
            current: new Option(
                '',
                $pattern,
                $version,
                '14',
                claims: [new Claim('c', Role::Main, $own, $own->cuts[0])],
            ),
        );

        return (new BestUse(new Assumptions(), new Sewist(), $overruled, new LaidAtOnce()))->propose(
            $project->season,
            [$project],
            [$own, ...$others],
        );
    }

    private function version(string $id, string $length, bool $hasPieces = false): Version
    {
        $row = new Requirement(Role::Main, Length::ofMillimetres(1400), Nap::Either, ['14' => Length::ofMetres($length)]);
        $piece = new Piece('Front', Role::Main, 2, shapes: [new Shape([], Outline::rectangle(1000, 650))]);

        return new Version($id, $id, new RequirementTable(['14'], [$row]), pieces: $hasPieces ? PieceSet::of([$piece], ['14']) : null);
    }

    private function cloth(
        string $name,
        ?ClothType $type,
        Feel $feel = new Feel(drape: Drape::Soft, opacity: Opacity::Opaque),
        ?WeightClass $weight = WeightClass::Light,
        string $length = '3',
    ): Cloth {
        return new Cloth(
            $name,
            $name,
            Width::of(Length::ofMillimetres(1400), Length::ofMillimetres(10)),
            material: new Material(
                structure: null === $type ? null : Structure::Woven,
                type: $type,
                weight: null === $weight ? null : Weight::ofClass($weight),
                feel: $feel,
            ),
            cuts: [new Cut('cut of '.$name, Plan::cut($length, true)->ledger)],
        );
    }
}
