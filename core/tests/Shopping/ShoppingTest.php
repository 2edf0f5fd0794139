<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Shopping;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Width;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Shopping\Ask;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Shopping\ShoppingItem;
use Octavum\Core\Shopping\ShoppingList;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ShoppingTest extends TestCase
{
    public function testViscoseIsAskedForWithShrinkageAndSquaringAtEachCounter(): void
    {
        $need = new Need(Length::ofMetres('2.10'), NeedSource::OwnWidth, Working::empty(...));
        $metric = Ask::for($need, Percent::of(6), Counter::TenCentimetres, new Assumptions());
        self::assertSame(2_294_043, $metric->exact->micrometres, '2.10 / 0.94 + 0.06 = 2.29404…');
        self::assertSame('2.30 m', (new LengthFormatter(System::Metric))->write(Figure::needed($metric->length)));
        $yards = Ask::for($need, Percent::of(6), Counter::EighthYard, new Assumptions());
        self::assertSame('2⅝ yd', (new LengthFormatter(System::Imperial))->write(Figure::needed($yards->length)));
        self::assertSame(2944, $metric->cost(1280), '2.30 m at 12.80 = 29.44');
    }

    public function testOfSeveralSewnTogetherEachAsksForItsOwnSize(): void
    {
        $rows = [new Requirement(Role::Main, Length::ofMillimetres(1400), Nap::Either, [
            'S' => Length::ofMetres('1.2'),
            'L' => Length::ofMetres('1.6'),
        ])];
        $version = new Version('v', 'A', new RequirementTable(['S', 'L'], $rows));
        $wish = static fn (string $id): Claim => new Claim($id, Role::Main, wish: new Wish('Lawn', FibreMix::unknown()));
        $project = new Project(
            'p',
            'Tops',
            Plan::season(),
            1,
            current: new Option(
                '',
                null,
                $version,
                'S',
                claims: [$wish('first')],
                copies: [
                    new Copy(null, 'L', claims: [$wish('second')]),
                ],
            ),
        );
        $items = (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile(Plan::check($project));
        $at140 = static function (ShoppingItem $item): ?float {
            foreach ($item->asks as $ask) {
                if (1400 === $ask['width']->millimetres() && $ask['ask'] instanceof Ask) {
                    return floor((float) $ask['ask']->exact->millimetres());
                }
            }

            return null;
        };
        self::assertSame([1276.0 + 60, 1702.0 + 60], array_map($at140, $items), '1.20 and 1.60 m, 6 % for the wash, both ends');
    }

    public function testAShopThatCutsNoLessThanAMetreIsAskedForThat(): void
    {
        $need = new Need(Length::ofMetres('0.6'), NeedSource::OwnWidth, Working::empty(...));
        $ask = Ask::for($need, Percent::of(0), Counter::TenCentimetres, new Assumptions(counterLeast: Length::ofMetres('1')));
        self::assertSame([660, 1000], [$ask->exact->millimetres(), $ask->length->millimetres()]);
        self::assertSame('Ask for the least the shop cuts', (string) $ask->working->lines[\count($ask->working->lines) - 1]->label);
    }

    /** Needed; asked for in steps of 10 cm; and with which a tight fit becomes a fit: 10 cm to spare, or 5 %. */
    #[TestWith(['1.14', 1200, 1300])]
    #[TestWith(['1.19', 1200, 1300])]
    #[TestWith(['1.05', 1100, 1200])]
    #[TestWith(['2.5', 2500, null])]
    public function testItIsSaidWhenOneStepMoreTurnsTightIntoFits(string $need, int $asked, ?int $fitting): void
    {
        $ask = Ask::for(
            new Need(Length::ofMetres($need), NeedSource::OwnWidth, Working::empty(...)),
            Percent::of(0),
            Counter::TenCentimetres,
            new Assumptions(squaring: Length::zero()),
        );
        self::assertSame([$asked, $fitting], [$ask->length->millimetres(), $ask->fitting?->millimetres()]);
    }

    public function testEveryCounterRoundsUpByLessThanItsStep(): void
    {
        mt_srand(2);
        for ($i = 0; $i < 300; ++$i) {
            $need = new Need(Length::ofMicrometres(mt_rand(50_000, 6_000_000)), NeedSource::OwnWidth, Working::empty(...));
            foreach (Counter::cases() as $counter) {
                $ask = Ask::for($need, Percent::of(mt_rand(0, 80) / 10), $counter, new Assumptions());
                self::assertFalse($ask->length->isLessThan($ask->exact));
                self::assertTrue($ask->length->minus($counter->step())->isLessThan($ask->exact));
            }
        }
    }

    public function testTheListHoldsWishesAndShortfallsAtEveryCommonWidth(): void
    {
        $version = Plan::version(['115 cm' => '2.60', '150 cm' => '2.10']);
        $wish = new Wish('Viscose twill', FibreMix::of(['viscose' => 100], Knowledge::Seller), pricePerMetre: 1280);
        $season = Plan::check(
            Plan::project('Coat', 1, $version, Plan::claim(Plan::cloth('137 cm', '2.50'))),
            Plan::project('Dress', 2, $version, new Claim('w', Role::Main, wish: $wish)),
            Plan::project('Skirt', 3, $version, Plan::claim(Plan::cloth('150 cm', '4', name: 'Other'))),
        );
        $items = (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile($season);
        self::assertSame(['Heron lawn', 'Viscose twill'], array_map(static fn ($item): string => $item->cloth, $items));
        self::assertSame(257_600, $items[0]->missing?->micrometres);
        $asked = array_map(
            static fn (array $row): array => [
                $row['width']->millimetres(),
                $row['ask'] instanceof Ask ? $row['ask']->length->millimetres() : 0,
            ],
            $items[1]->asks,
        );
        self::assertSame([[1120, 2900], [1400, 2900], [1500, 2300]], \array_slice($asked, 1), '2.60 / 0.94 + 0.06 = 2.826 → 2.90');
    }

    public function testTheCommonWidthsAreThoseOfTheCountersCountry(): void
    {
        $wish = new Wish('Lawn', FibreMix::of(['cotton' => 100], Knowledge::Seller));
        $season = Plan::check(Plan::project('Dress', 1, Plan::version(['36 in' => '2.60']), new Claim('w', Role::Main, wish: $wish)));
        $widths = static fn (System $system): array => array_map(
            static fn (array $row): int => $row['width']->micrometres,
            (new ShoppingList(new Assumptions(), Counter::TenCentimetres, $system))->compile($season)[0]->asks,
        );
        self::assertSame([900_000, 1_120_000, 1_400_000, 1_500_000], $widths(System::Metric));
        self::assertSame([36 * 25_400, 44 * 25_400, 54 * 25_400, 60 * 25_400], $widths(System::Imperial));
    }

    public function testMoreOfAShortClothIsAskedForAtItsOwnWidth(): void
    {
        $season = Plan::check(
            Plan::project('Coat', 1, Plan::version(['115 cm' => '2.60', '150 cm' => '2.10']), Plan::claim(Plan::cloth('137 cm', '2.50'))),
        );
        $item = (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile($season)[0];
        self::assertSame(
            [900.0, 1120.0, 1370.0, 1400.0, 1500.0],
            array_map(static fn (array $row): float => (float) $row['width']->millimetres(), $item->asks),
        );
        $own = $item->asks[2]['ask'];
        self::assertInstanceOf(Ask::class, $own);
        self::assertSame(2800, $own->length->millimetres(), '2.60 / 0.96 + 0.06 = 2.769 → 2.80');
    }

    /** Cotton to buy, 1.50 m wide: (1.50 − 0.02) × 0.98 = 1.4504 m between the selvages after its wash. */
    public function testAPieceWiderThanWhatIsBoughtIsShortWhereTheWidthIsKnown(): void
    {
        $answer = static function (int $across, ?int $width): RoleAnswer {
            $pieces = PieceSet::of([new Piece('Back', shapes: [new Shape([], Outline::rectangle(600, $across))])], ['14']);
            $row = new Requirement(Role::Main, Length::ofMillimetres(1400), Nap::Without, ['14' => Length::ofMillimetres(2000)]);
            $wish = new Wish(
                'Lawn',
                FibreMix::of(['cotton' => 100], Knowledge::Seller),
                width: null === $width ? null : Length::ofMillimetres($width),
            );
            $version = new Version('v', 'A', new RequirementTable(['14'], [$row]), pieces: $pieces);

            return Plan::check(Plan::project('Cape', 1, $version, new Claim('w', Role::Main, wish: $wish)))->projects[0]->roles[0];
        };
        self::assertSame(Verdict::ToBuy, $answer(1450, 1500)->verdict);
        self::assertSame(Verdict::Short, $answer(1451, 1500)->verdict);
        self::assertSame(Verdict::ToBuy, $answer(1451, null)->verdict, 'nobody knows the width yet');
        self::assertStringContainsString('is assumed', (string) $answer(600, null)->working()->lines[0]->label);
        self::assertStringNotContainsString('is assumed', (string) $answer(600, 1500)->working()->lines[0]->label);
    }

    public function testWhatHangsOnAnEventWaits(): void
    {
        $wish = new Wish('Lawn', FibreMix::unknown());
        $item = static function (string $when, Option ...$options) use ($wish): ShoppingItem {
            $project = new Project(
                'p',
                'Cape',
                Plan::season(),
                1,
                current: new Option(
                    '',
                    version: Plan::version(['150 cm' => '2']),
                    size: '14',
                    claims: [new Claim('w', Role::Main, wish: $wish)],
                    when: $when,
                ),
                others: array_values($options),
            );

            return (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile(Plan::check($project))[0];
        };
        self::assertNull($item('')->wait());
        self::assertNull(
            $item('', new Option('o'), new Option('p', when: 'the toile fails', past: true))->wait(),
            'on what is let go nothing depends',
        );
        self::assertSame(
            'Don’t buy yet. How Cape is made depends on this: the toile fits, Suvi grows.',
            (string) $item('the toile fits', new Option('o', when: 'Suvi grows'), new Option('p', when: 'Suvi grows'))->wait(),
        );
    }

    public function testWhereNoLengthIsEnoughThereIsNoSecondOpinionEither(): void
    {
        $pieces = PieceSet::of([new Piece('Back', shapes: [new Shape([], Outline::rectangle(600, 1200))])], ['14']);
        $row = static fn (int $width, int $length): Requirement => new Requirement(
            Role::Main,
            Length::ofMillimetres($width),
            Nap::Without,
            ['14' => Length::ofMillimetres($length)],
        );
        $version = new Version('v', 'A', new RequirementTable(['14'], [$row(900, 3000), $row(1500, 2000)]), pieces: $pieces);
        $wish = new Wish('Lawn', FibreMix::of(['cotton' => 100], Knowledge::Seller));
        $season = Plan::check(Plan::project('Cape', 1, $version, new Claim('w', Role::Main, wish: $wish)));
        $asks = (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile($season)[0]->asks;
        self::assertInstanceOf(Unknown::class, $asks[1]['ask'], '112 wide: the back is 1.20 m');
        self::assertNull($asks[1]['area']);
        self::assertInstanceOf(Ask::class, $asks[2]['ask'], '140 wide');
        self::assertNotNull($asks[2]['area']);
    }

    public function testWhatAnOwnedCutSettlesAloneIsNotBought(): void
    {
        $cloth = new Cloth(
            'c',
            'Lawn',
            Width::of(Length::ofMetres('1.4'), Length::ofMetres('0.01')),
            material: new Material(fibres: FibreMix::of(['cotton' => 100], Knowledge::Label)),
            cuts: [Plan::cut('1.5', true, 'a'), Plan::cut('3', true, 'b')],
        );
        $season = Plan::check(Plan::project('Coat', 1, Plan::version(['140 cm' => '2.4']), Plan::claim($cloth)));
        self::assertSame('b', $season->projects[0]->roles[0]->otherCut()?->id);
        self::assertSame([], (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile($season)[0]->asks);
    }

    public function testWhatCannotBeWorkedOutIsNotOnTheListWithANumber(): void
    {
        $season = Plan::check(
            Plan::project(
                'Coat',
                1,
                Plan::version(['150 cm' => '2.10'], Role::Lining),
                new Claim('w', Role::Main, wish: new Wish('Linen', FibreMix::unknown())),
            ),
        );
        $items = (new ShoppingList(new Assumptions(), Counter::EighthYard, System::Imperial))->compile($season);
        self::assertCount(1, $items);
        self::assertContainsOnlyInstancesOf(Unknown::class, array_column($items[0]->asks, 'ask'));
    }
}
