<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Width;
use Octavum\Core\Measure\WorkingLine;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/** The cases worked by hand, and what must hold for any plan. */
final class SeasonCheckTest extends TestCase
{
    private const ENVELOPE = ['115 cm' => '2.60', '150 cm' => '2.10'];

    public function testA137ClothReadsThe115RowAndIs26CentimetresShort(): void
    {
        $role = $this->one('137 cm', Plan::cut('2.50'));
        self::assertSame(Verdict::Short, $role->verdict);
        self::assertSame('2.342 m', $this->write(Figure::exact($role->toCut->length ?? Length::zero())));
        self::assertSame(['26 cm', '10¼ in'], $this->missing($role), '2.60 − 2.3424 = 0.2576');
        self::assertSame(
            [
                'The cut 2.50 m measured',
                'Straightening both ends − 6 cm assumed',
                'Shrinks 4 % in the wash − 9.8 cm assumed',
                'Usable = 2.342 m',
                'Size 14, 115 cm row; the cloth is 137 cm 2.60 m printed table',
                'Needed = 2.60 m',
                'Missing, rounded up = 26 cm',
            ],
            $this->lines($role),
        );
    }

    public function testOn150ClothItFitsWith24CentimetresToSpare(): void
    {
        $role = $this->one('150 cm', Plan::cut('2.50'));
        self::assertSame(Verdict::Fits, $role->verdict);
        self::assertSame('24 cm', $this->write(Figure::owned($role->spare ?? Length::zero())));
    }

    public function testAOneWayPrintWithoutANapRowIsEightCentimetresShort(): void
    {
        $role = $this->one('150 cm', Plan::cut('2.50'), direction: Direction::OneWay);
        self::assertSame(2_415_000, $role->amount()?->micrometres, '2.10 + 0.315');
        self::assertSame(-72_600, $role->spare?->micrometres, '2.3424 − 2.415');
        self::assertSame('8 cm', $this->missing($role)[0], 'a shortfall rounds up');
    }

    public function testTwoCutsOfOneTweedAreNotAddedUp(): void
    {
        $cuts = [Plan::cut('1.80', true, 'a'), Plan::cut('1.65', true, 'b')];
        $tweed = new Cloth('tweed', 'Quarry tweed', Width::of(Plan::length('146 cm'), Plan::length('1 cm')), cuts: $cuts);
        $short = Plan::version(['140 cm' => '2.30']);
        $skirt = Plan::version(['140 cm' => '1.60'], name: 'B');
        $project = new Project(
            'p',
            'Pinafore',
            Plan::season(),
            1,
            current: new Option(
                '',
                new Pattern('pattern', 'Pinafore', versions: [$short, $skirt]),
                $short,
                '14',
                minutes: 60,
                claims: [Plan::claim($tweed)],
            ),
        );
        $role = Plan::check($project)->projects[0]->roles[0];
        self::assertSame(Verdict::Short, $role->verdict);
        self::assertSame('56 cm', $this->missing($role)[0], '2.30 − (1.80 − 0.06)');
        $ways = array_map(strval(...), $role->waysOut());
        self::assertStringContainsString('cannot be added up', $ways[0]);
        self::assertStringContainsString('Version “B” of the same pattern wants 1.60 m', $ways[1]);
    }

    public function testAnotherCutOfTheSameClothThatWouldDoIsNamed(): void
    {
        $cuts = [Plan::cut('1.80', true, 'a'), Plan::cut('2.40', true, 'b')];
        $tweed = new Cloth('tweed', 'Quarry tweed', Width::of(Plan::length('146 cm'), Plan::length('1 cm')), cuts: $cuts);
        $role = Plan::check(Plan::project('Pinafore', 1, Plan::version(['140 cm' => '2.30']), Plan::claim($tweed)))->projects[0]->roles[0];
        self::assertSame(['Another cut of it has 2.34 m free, which is enough alone.'], array_map(strval(...), $role->waysOut()));
    }

    public function testYardsAndEighths(): void
    {
        // 3½ yd − 6 cm = 3.1404 m = 3.434 yd, shown as 3⅜; 2¾ yd at 45 in leaves 0.684 yd
        $role = $this->one('45 in', Plan::cut('3 1/2 yd', true), ['45 in' => '2 3/4 yd']);
        self::assertSame(Verdict::Fits, $role->verdict);
        self::assertSame('3⅜ yd', (new LengthFormatter(System::Imperial))->write(Figure::owned($role->toCut->length ?? Length::zero())));
    }

    public function testNarrowerThanTheTableIsConvertedUpByTheChartAndTight(): void
    {
        // Lines 7 and 8 of the chart. At 45 in: 2¾ − ⅜/6 = 2.6875 and 2⅞ − ¼/6 = 2.8333; at 36 in: 3⅜ − ⅜/4 = 3.28125 and
        // 3¾ − ½/4 = 3.625. 2¾ lies (2.75 − 2.6875) / 0.145833 = 0.428571 up: 3.28125 + 0.428571 × 0.34375 = 3.428571 yd.
        $role = $this->one('36 in', Plan::cut('3 1/2 yd', true), ['45 in' => '2 3/4 yd']);
        self::assertEqualsWithDelta(3.428571 * 914_400, $role->amount()?->micrometres, 3);
        self::assertSame(Verdict::Tight, $role->verdict, '3.434383 − 3.428571 yd is 5 mm');
        self::assertInstanceOf(Need::class, $role->need);
        self::assertSame(NeedSource::Converted, $role->need->way);
        self::assertStringContainsString('widest piece may not fit', (string) $role->snags[0]->sentence);
    }

    public function testAnUnknownWidthIsNotKnownYetAndPretendsNoNumber(): void
    {
        $role = $this->one(null, Plan::cut('2.50'));
        self::assertSame(Verdict::NotKnown, $role->verdict);
        self::assertInstanceOf(Unknown::class, $role->need);
        self::assertSame('Measure the width.', (string) $role->need->settle);
        self::assertNull($role->spare);
        self::assertSame([Action::MeasureWidth, 'cloth Heron lawn'], [$role->snags[0]->action, $role->snags[0]->subject]);
        self::assertSame(Verdict::NotKnown, $this->one('150 cm', Plan::cut(null))->verdict, 'nor an unknown length');
    }

    public function testTheLaterOfTwoClaimsIsShortAndBothNameTheOther(): void
    {
        $cloth = Plan::cloth('137 cm', Plan::cut('2.5', true));
        $skirt = Plan::project('Heron skirt', 1, null, Plan::claim($cloth, stated: '1.5'));
        $shorts = Plan::project('Shorts', 2, null, Plan::claim($cloth, stated: '1.2'));
        $checked = Plan::check($shorts, $skirt);
        self::assertSame(['Heron skirt', 'Shorts'], array_map(static fn ($answer): string => $answer->project->name, $checked->projects));
        self::assertSame([Verdict::Fits, Verdict::Short], array_map(static fn ($answer) => $answer->verdict, $checked->projects));
        self::assertSame(
            'Heron lawn is reserved more than once: Heron skirt has it first, and Shorts would be 26 cm short.',
            (string) $checked->projects[0]->snags[0]->sentence,
        );
        self::assertStringContainsString('Shorts is 26 cm short: Heron skirt', (string) $checked->projects[1]->snags[0]->sentence);
        self::assertContains('Left for this = 94 cm', $this->lines($checked->projects[1]->roles[0]));
    }

    public function testAnEarlierSeasonHasTheClothFirstAndFinishedProjectsClaimNothing(): void
    {
        $cloth = Plan::cloth('137 cm', Plan::cut('2.5', true));
        $here = Plan::project('Skirt', 1, null, Plan::claim($cloth, stated: '1.5'));
        $before = Plan::project('Coat', 9, null, Plan::claim($cloth, stated: '2'), Plan::season('rime', '2026-11-01'));
        self::assertSame(Verdict::Short, Plan::check($here, $before)->projects[0]->verdict);
        $finished = new Project(
            'x',
            'Coat',
            $before->season,
            9,
            log: new ProjectLog(state: ProjectState::Done),
            current: new Option('', claims: $before->current->claims),
        );
        self::assertSame(Verdict::Fits, Plan::check($here, $finished)->projects[0]->verdict);
        $cutOut = new Project(
            'x',
            'Coat',
            $before->season,
            9,
            current: new Option(
                '',
                claims: [new Claim('c', Role::Main, $cloth, $cloth->cuts[0], cutOut: true)],
            ),
        );
        self::assertSame(Verdict::Fits, Plan::check($here, $cutOut)->projects[0]->verdict);
    }

    public function testGoingDownTheRankTheHoursRunOutAtTheChalkLine(): void
    {
        $cloth = Plan::cloth('150 cm', Plan::cut('9'));
        $make = static fn (string $name, int $rank, int $hours): Project => Plan::project(
            $name,
            $rank,
            null,
            Plan::claim($cloth, stated: '1', id: $name),
            minutes: $hours * 60,
        );
        $checked = Plan::check($make('A', 1, 30), $make('B', 2, 22), $make('C', 3, 1));
        self::assertSame(
            [false, false, true],
            array_map(static fn ($answer): bool => $answer->turn->below, $checked->projects),
            '13 weeks × 4 h = 52 h',
        );
        self::assertSame(53 * 60, $checked->wished);
        self::assertSame([30 * 60, 52 * 60], [$checked->projects[1]->turn->from, $checked->projects[1]->turn->to]);
    }

    public function testSnagsOfTheProjectItself(): void
    {
        $version = Plan::version(self::ENVELOPE);
        $pattern = new Pattern(
            'pattern',
            'Towpath coat',
            keeping: new PatternKeeping(editions: [new Edition('small', ['8', '10'])]),
            versions: [$version],
        );
        $cut = new Cut('cut', [], state: CutState::Ordered, expected: new \DateTimeImmutable('2027-04-01'));
        $cloth = new Cloth('c', 'Dawn tweed', cuts: [$cut]);
        $project = new Project(
            'p',
            'Coat',
            Plan::season(),
            1,
            brief: new ProjectBrief(new Person('i', 'Suvi'), dates: new ProjectDates(deadline: new \DateTimeImmutable('2027-03-10'))),
            current: new Option(
                '',
                $pattern,
                $version,
                '14',
                minutes: 16 * 60,
                claims: [new Claim('x', Role::Lining, $cloth, $cut)],
            ),
        );
        $said = implode(
            ' ',
            array_map(static fn (Snag $snag): string => (string) $snag->sentence, Plan::check($project)->projects[0]->snags),
        );
        foreach (
            [
                'is ordered and expected on 2027-04-01',
                'Coat: the envelope also asks for main',
                'size 14 is outside the copy owned',
                'after its deadline',
                'comes about 2027-04-01, {days, plural, one {# day} other {# days}} after “Lining”',
            ] as $part
        ) {
            self::assertStringContainsString($part, $said);
        }
        $bare = Plan::check(new Project('p', 'Coat', Plan::season(), 1))->projects[0];
        self::assertSame(Verdict::NotKnown, $bare->verdict);
        self::assertSame(
            ['Coat has no cloth for main yet.', 'Coat: the hours are not set, so none are counted.'],
            array_map(static fn (Snag $snag): string => (string) $snag->sentence, $bare->snags),
        );
    }

    public function testClothToBuyIsDrawnAtAUsualWidth(): void
    {
        $claim = new Claim('c', Role::Main, wish: new Wish('Viscose twill', FibreMix::of(['viscose' => 100], Knowledge::Seller)));
        $role = Plan::check(Plan::project('Coat', 1, Plan::version(self::ENVELOPE), $claim))->projects[0]->roles[0];
        self::assertSame([Verdict::ToBuy, 2_600_000], [$role->verdict, $role->amount()?->micrometres]);
    }

    public function testMoreClothNeverTurnsFitsIntoShort(): void
    {
        mt_srand(3);
        $order = [Verdict::Short, Verdict::Tight, Verdict::Fits];
        for ($i = 0; $i < 400; ++$i) {
            [$length, $width] = [mt_rand(300, 4000), mt_rand(700, 1800)];
            $verdict = fn (int $more): int => (int) array_search(
                $this->one($width.' mm', Plan::cut($length + $more.' mm', 0 === $i % 2))->verdict,
                $order,
                true,
            );
            self::assertGreaterThanOrEqual($verdict(0), $verdict(mt_rand(1, 500)), "$length mm × $width mm");
        }
    }

    /** Whoever reads inches sees the same plan: figures round towards safety, and never say other than the verdict. */
    public function testSwitchingUnitsChangesNoVerdict(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 400; ++$i) {
            $role = $this->one(
                mt_rand(700, 1800).' mm',
                Plan::cut(mt_rand(500, 4000).' mm', 0 === $i % 3),
                direction: 0 === $i % 5 ? Direction::OneWay : Direction::None,
            );
            self::assertNotNull($role->spare);
            foreach (System::cases() as $system) {
                $read = static fn (Figure $figure): int => '0' === ($text = strtok((new LengthFormatter($system))->write($figure), ' '))
                    ? 0
                    : Length::parse((new LengthFormatter($system))->write($figure), Unit::Metre)->micrometres;
                $toCut = $read(Figure::owned($role->toCut->length ?? Length::zero()));
                $need = $read(Figure::needed($role->amount() ?? Length::zero()));
                if (Verdict::Short === $role->verdict) {
                    self::assertLessThan($need, $toCut, 'what is shown must look short too');
                    self::assertGreaterThan(0, $read(Figure::needed($role->spare->negated())));
                } else {
                    self::assertFalse($role->spare->isNegative());
                    self::assertLessThanOrEqual($role->spare->micrometres, $read(Figure::owned($role->spare)));
                }
            }
        }
    }

    /** @param array<string, string> $rows */
    private function one(?string $width, Cut $cut, array $rows = self::ENVELOPE, Direction $direction = Direction::None): RoleAnswer
    {
        return Plan::check(
            Plan::project('Towpath coat', 1, Plan::version($rows), Plan::claim(Plan::cloth($width, $cut, direction: $direction))),
        )->projects[0]->roles[0];
    }

    /** @return list<string> */
    private function missing(RoleAnswer $role): array
    {
        $figure = Figure::needed($role->spare?->negated() ?? Length::zero());

        return array_map(static fn (System $system): string => (new LengthFormatter($system))->write($figure), System::cases());
    }

    private function write(Figure $figure): string
    {
        return (new LengthFormatter(System::Metric))->write($figure);
    }

    public function testASmallerSizeThanTheChartSaysIsASnagAndALargerOneIsNot(): void
    {
        $chart = (new SizeChartReader())->read("12 14 16\nbust 87 92 97", Unit::Centimetre);
        $person = new Person(
            'p',
            'Ottoline',
            measured: [new Measured(new \DateTimeImmutable('2026-10-04'), ['bust' => Length::ofMillimetres(920)])],
        );
        $snags = fn (string $size): array => array_map(
            static fn (Snag $snag): string => (string) $snag->sentence,
            $this->planned(
                $size,
                $person,
                new Pattern('x', 'Blouse', makes: new PatternGarment(garment: Garment::Top), chart: $chart),
            )->snags,
        );
        self::assertContains('Blouse: size 12 is planned, and by the chart Ottoline takes 14.', $snags('12'));
        self::assertSame([], array_filter($snags('14'), static fn (string $says): bool => str_contains($says, 'by the chart')));
        self::assertSame([], array_filter($snags('16'), static fn (string $says): bool => str_contains($says, 'by the chart')));
        self::assertSame(
            [],
            array_filter($snags('42'), static fn (string $says): bool => str_contains($says, 'by the chart')),
            'a size the chart does not know',
        );
    }

    public function testPiecesMissingAndAlterationsNotDrawnAreSnagsOfWhoeverItIsFor(): void
    {
        $pattern = new Pattern(
            'x',
            'Blouse',
            keeping: new PatternKeeping(
                editions: [new Edition('small half', ['12', '14'], missing: 'cuff facing'), new Edition('large half', ['16'])],
            ),
            alterations: [
                new KeptAlteration('p', 'Longer', drawn: true),
                new KeptAlteration('p', 'Forward shoulder'),
                new KeptAlteration('q', 'Wider'),
            ],
        );
        $says = implode(
            ' ',
            array_map(
                static fn (Snag $snag): string => (string) $snag->sentence,
                $this->planned('14', new Person('p', 'Ottoline'), $pattern)->snags,
            ),
        );
        self::assertStringContainsString('the copy of Blouse lacks cuff facing', $says);
        self::assertStringContainsString('not drawn on the paper yet: Forward shoulder.', $says);
        $other = implode(
            ' ',
            array_map(static fn (Snag $snag): string => (string) $snag->sentence, $this->planned('16', null, $pattern)->snags),
        );
        self::assertStringNotContainsString('lacks', $other, 'the other half is whole');
        self::assertStringNotContainsString('not drawn', $other);
    }

    public function testAPieceWiderThanTheClothIsShortWhateverTheLength(): void
    {
        $piece = new Piece('Back', shapes: [new Shape([], Outline::rectangle(600, 1400))]);
        $version = new Version('v', 'A', new RequirementTable(['14'], []), pieces: PieceSet::of([$piece], ['14']));
        $role = static fn (string $width): RoleAnswer => Plan::check(
            Plan::project('Cape', 1, $version, Plan::claim(Plan::cloth($width, '20'), stated: '1')),
        )->projects[0]->roles[0];
        $narrow = $role('142 cm');
        self::assertSame([Verdict::Short, 'Back'], [$narrow->verdict, $narrow->tooWide?->piece]);
        self::assertNull($narrow->missing(), 'no length is missing');
        $wide = $role('150 cm');
        self::assertSame([Verdict::Fits, null], [$wide->verdict, $wide->tooWide]);
    }

    /** A strip 45 × 110 cm takes a pocket of 20 × 24 cm, and no sleeve of 58 × 50 cm, whatever the cloth was once wide. */
    public function testAStripTakesAPocketAndNoSleeve(): void
    {
        $pieces = [
            new Piece('Pocket', Role::Pocketing, shapes: [new Shape([], Outline::rectangle(240, 200))]),
            new Piece('Sleeve', Role::Contrast, shapes: [new Shape([], Outline::rectangle(580, 500))]),
        ];
        $version = new Version('v', 'A', new RequirementTable(['14'], []), pieces: PieceSet::of($pieces, ['14']));
        $strip = new Cut(
            'strip',
            [new LedgerEntry(new \DateTimeImmutable('2027-02-01'), LedgerKind::Washed, Length::ofMillimetres(1100))],
            width: Length::ofMillimetres(450),
        );
        $cloth = Plan::cloth('140 cm', $strip);
        $answer = static fn (Role $role, string $length): RoleAnswer => Plan::check(Plan::project(
            'Coat',
            1,
            $version,
            new Claim('c', $role, $cloth, $strip, null, Plan::length($length)),
        ))->projects[0]->roles[0];
        $pocket = $answer(Role::Pocketing, '0.24');
        self::assertSame([Verdict::Fits, null], [$pocket->verdict, $pocket->tooWide]);
        $sleeve = $answer(Role::Contrast, '0.58');
        self::assertSame([Verdict::Short, 'Sleeve'], [$sleeve->verdict, $sleeve->tooWide?->piece]);
        self::assertSame('450', (string) $sleeve->tooWide?->usable->millimetres());
    }

    /** Four hours a week from 1 March; a project of six hours before it, so that it begins on 11 March and is done on 20 March. */
    public function testASoftDeadlineIsOnlyNotedAndWhatCannotBeginYetIsSaid(): void
    {
        $first = new Project('first', 'First', Plan::season(), 1, current: new Option('', minutes: 360));
        $snags = static function (?string $deadline, bool $soft, ?string $notBefore) use ($first): array {
            $day = static fn (?string $day): ?\DateTimeImmutable => null === $day ? null : new \DateTimeImmutable($day);
            $project = new Project(
                'p',
                'Coat',
                Plan::season(),
                2,
                brief: new ProjectBrief(dates: new ProjectDates(deadline: $day($deadline), soft: $soft, notBefore: $day($notBefore))),
                current: new Option('', minutes: 300),
            );

            return array_map(
                static fn (Snag $snag): array => [$snag->severity, (string) $snag->sentence],
                array_values(array_filter(
                    Plan::check($first, $project)->projects[1]->snags,
                    static fn (Snag $snag): bool => Severity::NotKnown !== $snag->severity,
                )),
            );
        };
        $late = 'Coat would be done {days, plural, one {# day} other {# days}} after its deadline at this place in the list.';
        self::assertSame([[Severity::Short, $late]], $snags('2027-03-19', false, null));
        self::assertSame([[Severity::Note, $late]], $snags('2027-03-19', true, null));
        self::assertSame([], $snags('2027-03-20', false, null), 'on the very day is in time');
        self::assertSame(
            [[Severity::Note, 'Coat cannot begin before 2027-03-12: 0.5 h of sewing before it are free. Move something up.']],
            $snags(null, false, '2027-03-12'),
        );
        self::assertSame([], $snags(null, false, '2027-03-11'), 'on the very day it may');
    }

    public function testWhatIsNotHereYetIsNotAskedToBeWashed(): void
    {
        $bought = [new LedgerEntry(new \DateTimeImmutable('2027-02-01'), LedgerKind::Bought, Length::ofMillimetres(4000))];
        $actions = static fn (CutState $state): array => array_map(
            static fn (Snag $snag): Action => $snag->action,
            Plan::check(Plan::project('Coat', 1, Plan::version(self::ENVELOPE), Plan::claim(
                Plan::cloth('150 cm', new Cut('c', $bought, state: $state)),
            )))->projects[0]->roles[0]->snags,
        );
        self::assertSame([Action::MarkWashed], $actions(CutState::Arrived));
        self::assertSame([Action::ShowCloth], $actions(CutState::Ordered));
    }

    public function testAlterationsKeptForSomeoneCountWhereTheyCostCloth(): void
    {
        $version = Plan::version(['150 cm' => '2.00']);
        $pattern = new Pattern(
            'pattern',
            'Blouse',
            versions: [$version],
            alterations: [
                new KeptAlteration('p', 'Longer', Length::ofMillimetres(50)),
                new KeptAlteration('p', 'Forward shoulder'),
                new KeptAlteration('q', 'Much longer', Length::ofMillimetres(500)),
            ],
        );
        $claim = Plan::claim(Plan::cloth('150 cm', '4'));
        $needs = [];
        foreach ([null, new Person('p', 'Ottoline')] as $person) {
            $project = new Project(
                'x',
                'Blouse',
                Plan::season(),
                1,
                brief: new ProjectBrief($person),
                current: new Option('', $pattern, $version, '14', claims: [$claim]),
            );
            $needs[] = Plan::check($project)->projects[0]->roles[0]->amount()?->millimetres();
        }
        self::assertSame([2000, 2050], $needs);
    }

    public function testNotionsAreASnagOnlyWhereSomebodyHasWrittenNotionsDown(): void
    {
        $pattern = new Pattern(
            'x',
            'Blouse',
            versions: [new Version('v', 'A', new RequirementTable(['14'], []), ['6 buttons 11 mm', 'zip 20 cm'])],
        );
        $says = fn (Notion ...$notions): string => implode(
            ' ',
            array_map(
                static fn (Snag $snag): string => (string) $snag->sentence,
                $this->planned('14', null, $pattern, array_values($notions))->snags,
            ),
        );
        self::assertStringNotContainsString('not here', $says());
        self::assertStringContainsString(
            '6 buttons 11 mm, zip 20 cm',
            $says(new Notion('n', NotionKind::Button, Length::ofMillimetres(11), 5)),
        );
        self::assertStringNotContainsString('6 buttons', $says(new Notion('n', NotionKind::Button, Length::ofMillimetres(11), 6)));
    }

    /** @param list<Notion> $notions of the stash */
    private function planned(string $size, ?Person $person, Pattern $pattern, array $notions = []): ProjectAnswer
    {
        $project = new Project(
            'project',
            $pattern->title,
            Plan::season(),
            1,
            brief: new ProjectBrief($person),
            current: new Option(
                '',
                $pattern,
                $pattern->versions[0] ?? null,
                $size,
                claims: [new Claim('claim', Role::Main)],
            ),
        );

        return (new SeasonCheck(new Assumptions(), $notions))->check(Plan::season(), [$project])->projects[0];
    }

    /** @return list<string> */
    private function lines(RoleAnswer $role): array
    {
        return array_map(
            fn (WorkingLine $line): string => implode(
                ' ',
                array_filter(
                    [(string) $line->label, $line->operation->value, $this->write($line->figure), $line->source?->value],
                    static fn (?string $part): bool => null !== $part && '' !== $part,
                ),
            ),
            $role->working()->lines,
        );
    }
}
