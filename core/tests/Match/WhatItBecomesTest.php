<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\MadeBefore;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\ToileSchool;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Match\Toile;
use Octavum\Core\Match\WhatItBecomes;
use Octavum\Core\Match\WhatWouldDo;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A soft woven of 150 cm, squared and washed: 2.14 m of it to cut from. */
final class WhatItBecomesTest extends TestCase
{
    private const FREE = 2140;

    #[DataProvider('stands')]
    public function testWhereAProposalStands(Group $group, int $need, ClothAdvice $advice, ?string $size = '14'): void
    {
        $proposal = $this->lay([$this->making('a', $need, $advice, $size)])[0];
        self::assertSame($group, $proposal->group);
    }

    /** @return iterable<string, array{0: Group, 1: int, 2: ClothAdvice, 3?: ?string}> */
    public static function stands(): iterable
    {
        $soft = new ClothAdvice(crispest: Drape::Soft, mostFluid: Drape::Fluid);
        yield 'it suits and is enough' => [Group::MadeForIt, 1900, $soft];
        yield 'to the last centimetre' => [Group::MadeForIt, 2140, $soft];
        yield 'enough, and nobody says that it suits' => [Group::WouldDo, 1900, new ClothAdvice()];
        yield 'enough, with a doubt' => [Group::WouldDo, 1900, new ClothAdvice(crispest: Drape::Crisp, mostFluid: Drape::Firm)];
        yield 'a millimetre is missing' => [Group::Short, 2141, $soft];
        yield 'two fifths are missing' => [Group::Short, 3566, $soft];
        yield 'more than two fifths are missing' => [Group::Not, 3567, $soft];
        yield 'the length is not known' => [Group::WouldDo, 0, $soft];
        yield 'no size is known' => [Group::WouldDo, 1900, $soft, null];
    }

    public function testAPatternThatIsOnlyWishedForIsRefusedAndSaysSo(): void
    {
        $dress = $this->making('dress', 1900, new ClothAdvice(crispest: Drape::Soft));
        $wished = new Pattern(
            'w',
            'Wish',
            makes: new PatternGarment(advice: $dress->pattern->makes->advice),
            keeping: new PatternKeeping(ownership: Ownership::Wished),
            versions: [$dress->version],
        );
        $proposal = $this->lay([Making::of($wished, $dress->version, null, new Sewist())->inSize('14')])[0];
        self::assertSame(Group::Not, $proposal->group);
        self::assertStringContainsString('only wished for', (string) $proposal->refusal);
    }

    public function testWhatIsLeftAndWhatItStillMakes(): void
    {
        $soft = new ClothAdvice(crispest: Drape::Soft, mostFluid: Drape::Fluid);
        $dress = $this->making('dress', 1950, $soft);
        $hat = $this->making('hat', 420, new ClothAdvice());
        $tee = $this->making('tee', 850, $soft);
        $found = [];
        foreach ($this->lay([$dress, $hat, $tee]) as $proposal) {
            $found[$proposal->making->version->id] = $proposal;
        }
        self::assertSame(['dress', 'tee', 'hat'], array_keys($found), 'the better use of the cut first');
        self::assertSame(190_000, $found['dress']->left?->micrometres);
        self::assertSame(0, $found['dress']->makes);
        self::assertSame('It uses the cut up.', (string) $found['dress']->use?->sentence);
        self::assertSame(1_290_000, $found['tee']->left?->micrometres);
        self::assertSame(['tee', 'hat'], $this->names($found['tee']));
        self::assertSame(['tee', 'hat'], $this->names($found['hat']));
        self::assertNull($found['hat']->use);
    }

    public function testALargeCutIsNotTurnedIntoSomethingThatFitsNothing(): void
    {
        $soft = new ClothAdvice(crispest: Drape::Soft, mostFluid: Drape::Fluid);
        $makings = [
            $this->making('vest', 1700, new ClothAdvice()),
            ...array_map(fn (int $i): Making => $this->making('dress '.$i, 2000 + $i, $soft), [1, 2, 3]),
        ];
        $isVest = static fn (Proposal $one): bool => 'vest' === $one->making->version->id;
        $vest = array_values(array_filter($this->lay($makings), $isVest))[0];
        self::assertSame('Nothing fits the rest: 4 uses before, none after.', (string) $vest->use?->sentence);
        self::assertSame(-1, $vest->points);
    }

    public function testOnARollNothingIsShort(): void
    {
        $making = $this->making('dress', 4000, new ClothAdvice(crispest: Drape::Soft));
        $cloth = $this->cloth(2200);
        $on = new CuttingCloth(Length::ofMillimetres(1500));
        $proposal = (new WhatItBecomes(new Assumptions()))->propose($cloth, $on, null, [$making])[0];
        self::assertSame(Verdict::ToBuy, $proposal->fit?->verdict);
        self::assertSame(Group::MadeForIt, $proposal->group);
    }

    public function testCutsForAVersionRemnantsBeforeWholeLengths(): void
    {
        $soft = new ClothAdvice(crispest: Drape::Soft);
        $making = $this->making('tee', 850, $soft);
        $cloths = [$this->cloth(3000, 'long'), $this->cloth(920, 'remnant'), $this->cloth(700, 'short'), $this->cloth(400, 'scrap')];
        $would = new WhatWouldDo(new Assumptions());
        self::assertSame(
            ['remnant made for it', 'long made for it', 'short short', 'scrap not, and why'],
            self::cuts($would->propose($making, Role::Main, $cloths)),
        );
        self::assertSame(
            ['long made for it', 'short short', 'remnant short', 'scrap not, and why'],
            self::cuts($would->propose($making, Role::Main, $cloths, ['cut remnant' => Length::ofMillimetres(250)])),
            'what is promised is not free',
        );
    }

    public function testWhenAToileIsAdvised(): void
    {
        $toile = new Toile();
        $precious = Traits::of(new Cloth('s', 'Silk', purchase: new Purchase(pricePerMetre: 4000, moreToBeHad: false)), Making::DEAR);
        $plain = Traits::of(new Cloth('l', 'Linen'), Making::DEAR);
        $dress = $this->making('dress', 1900, new ClothAdvice());
        self::assertSame([], $toile->reasons($dress, $plain));
        $always = new Making($dress->pattern, $dress->version, Asks::of($dress->pattern, $dress->version, null, new Sewist(
            toiles: ToileSchool::Always,
        )));
        self::assertSame('You always sew one.', (string) $toile->reasons($always, $plain)[0]);
        $never = new Making($dress->pattern, $dress->version, Asks::of($dress->pattern, $dress->version, null, new Sewist(
            toiles: ToileSchool::Never,
        )));
        self::assertSame([], $toile->reasons($never, $precious));
        self::assertCount(1, $toile->reasons($dress, $precious));
        self::assertSame([], $toile->reasons($this->making('dress', 1900, new ClothAdvice(), made: 2), $precious), 'tried and true');
        $trousers = $this->making('t', 1900, new ClothAdvice(), garment: Garment::Trousers);
        self::assertStringContainsString('fits closely', (string) $toile->reasons($trousers, null)[0]);
    }

    /**
     * @param list<Proposal> $all
     *
     * @return list<string>
     */
    private static function cuts(array $all): array
    {
        return array_map(static fn (Proposal $one): string => $one->cloth?->id.' '.$one->group->value, $all);
    }

    /** @return list<string> */
    private function names(Proposal $proposal): array
    {
        return array_map(static fn (Making $making): string => $making->version->id, $proposal->still);
    }

    /**
     * @param list<Making> $makings
     *
     * @return list<Proposal>
     */
    private function lay(array $makings): array
    {
        $cloth = $this->cloth(2200);
        $toCut = ToCut::of($cloth, $cloth->cuts[0], new Assumptions());
        self::assertSame(self::FREE * 1000, $toCut->length?->micrometres);

        return (new WhatItBecomes(new Assumptions()))->propose($cloth, CuttingCloth::cut($cloth, $toCut), $toCut->length, $makings);
    }

    private function cloth(int $long, string $id = 'c'): Cloth
    {
        $day = new \DateTimeImmutable('2026-10-01');

        return new Cloth(
            $id,
            'A cloth',
            Width::of(Length::ofMillimetres(1500), Length::ofMillimetres(10)),
            material: new Material(structure: Structure::Woven, feel: new Feel(drape: Drape::Soft)),
            cuts: [new Cut('cut '.$id, [
                new LedgerEntry($day, LedgerKind::Washed),
                new LedgerEntry($day, LedgerKind::Measured, Length::ofMillimetres($long)),
            ])],
        );
    }

    private function making(
        string $id,
        int $need,
        ClothAdvice $advice,
        ?string $size = '14',
        int $made = 0,
        Garment $garment = Garment::Other,
    ): Making {
        $rows = 0 === $need ? [] : [
            new Requirement(
                Role::Main,
                Length::ofMillimetres(1500),
                Nap::Either,
                array_fill_keys([14, 16], Length::ofMillimetres($need)),
            ),
        ];
        $version = new Version($id, 'A', new RequirementTable(['14', '16'], $rows));
        $pattern = new Pattern(
            $id,
            $id,
            makes: new PatternGarment(garment: $garment, onlyFor: Structure::Woven, advice: $advice),
            versions: [$version],
        );
        $making = Making::of($pattern, $version, null, new Sewist(made: [$id => array_fill(0, $made, new MadeBefore($id, isGood: true))]));

        return null === $size ? $making : $making->inSize($size);
    }
}
