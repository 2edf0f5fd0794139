<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\Verdict;
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
use Octavum\Core\Project\ProjectLay;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\ChangedLays;
use Octavum\Core\Remedy\LaidAtOnce;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\LayKeeper;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Remedy\Shortfall;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/** What the remedies say is enough is enough in the season once it is kept: repeats, alterations and one-way cloth included. */
final class KeptRemedyTest extends TestCase
{
    private const CASES = 500;

    /** At the clock, for each lay: what is found must be kept, however good it is. */
    private const LOOKS = 12;

    private const CHANGES = [
        'binding',
        'hidden',
        'narrow',
        'turned',
        'shorter:5',
        'shorter:20',
        'less full:15',
        'short sleeves',
        'sleeveless',
        'left out',
    ];

    public function testWhatRemediesSayIsEnoughIsEnoughInTheSeason(): void
    {
        mt_srand(4);
        $short = $kept = 0;
        for ($case = 0; $case < self::CASES; ++$case) {
            $project = $this->random();
            $before = $this->answer($project);
            if (!\in_array($before->verdict, [Verdict::Short, Verdict::Tight], true) || null !== $before->tooWide) {
                continue;
            }
            ++$short;
            [$make, $change] = $this->remedy($project, $before);
            if (null === $change && !$make->isEnough()) {
                self::assertFalse($before->isEnoughLaid(), 'case '.$case);
                continue;
            }
            $changes = null === $change ? [] : [$change];
            self::assertSame([] === $changes, [] === $changes && $make->isEnough());
            $after = $this->answer($this->keep($project, $make, $changes));
            self::assertNotSame(
                Verdict::Short,
                $after->verdict,
                \sprintf('case %d, %s: %s left of it', $case, $change->key ?? 'the lay alone', $after->spare?->millimetres() ?? '?'),
            );
            ++$kept;
        }
        self::assertGreaterThan(self::CASES / 3, $short);
        self::assertGreaterThan(self::CASES / 4, $kept);
    }

    /** 1.85 m usable; four panels of 90 cm, two beside each other: 1.80 m, and matched to a repeat of 64 cm more than there is. */
    public function testALayIsNeverSaidToBeEnoughWithoutItsRepeat(): void
    {
        $panels = [self::box('Front', 900, 650, 2), self::box('Back', 900, 650, 2)];
        $plain = $this->project($panels, '2.20', '1.91', null);
        self::assertTrue($this->answer($plain)->isEnoughLaid());
        $matched = $this->answer($this->project($panels, '2.20', '1.91', '0.64'));
        self::assertFalse($matched->isEnoughLaid());
        self::assertSame(640 * 2 + 900, $matched->laid?->millimetres(), 'the second two begin at the next repeat that is free');
    }

    public function testWhatIsAlteredCountsOnTheLay(): void
    {
        $panels = [self::box('Front', 900, 650, 2), self::box('Back', 900, 650, 2)];
        $altered = fn (int $by): RoleAnswer => $this->answer(
            $this->project($panels, '2.40', '1.91', null, [new Alteration('longer', Length::ofMillimetres($by))]),
        );
        self::assertSame([1900, false], [$altered(100)->laid?->millimetres(), $altered(100)->isEnoughLaid()]);
        self::assertSame([1700, true], [$altered(-100)->laid?->millimetres(), $altered(-100)->isEnoughLaid()]);
    }

    /** @return array{MakeEnough, ?Change} the first that closes it, or none where the lay alone is enough */
    private function remedy(Project $project, RoleAnswer $answer): array
    {
        $claim = $project->current->claims[0];
        $toCut = $answer->toCut ?? self::fail('It has a cut.');
        $on = CuttingCloth::cut($claim->cloth ?? self::fail('It has a cloth.'), $toCut);
        $laying = Laying::own($project->wanted($claim), $on, new Assumptions()) ?? self::fail('It has pieces.');
        $need = $answer->need instanceof Need ? $answer->need->amount : self::fail('It is known.');
        $free = $need->plus($answer->spare ?? Length::zero());
        $shortfall = new Shortfall($project->wanted($claim), $need, $free, Verdict::Tight === $answer->verdict);
        $make = MakeEnough::of($shortfall, new ChangedLays($laying->within(self::LOOKS)), true, new Assumptions());
        if ($make->isEnough()) {
            return [$make, null];
        }
        $keys = self::CHANGES;
        shuffle($keys);
        foreach ($make->chosen(\array_slice($keys, 0, 3)) as $change) {
            $amount = $make->amount($change);
            if (null !== $amount && !$make->free->isLessThan($amount)) {
                return [$make, $change];
            }
        }

        return [$make, null];
    }

    /** @param list<Change> $changes */
    private function keep(Project $project, MakeEnough $make, array $changes): Project
    {
        $claim = $project->current->claims[0];
        $lay = new ProjectLay($project, $claim, new Assumptions());
        $quick = static fn (LayRequest $request): Lay => (new LayMaker(false))->make($request, Block::clock(2));
        $kept = (new LayKeeper($make, $lay->setup(...), $quick))->keep($changes);
        self::assertTrue($kept->sound);
        self::assertTrue($kept->isEnough);
        $saved = $kept->setup->saved('lay', 'Kept', $kept->lay, $kept->sound, []);
        $names = array_map(static fn (Change $change): string => $change->key, $changes);
        $saves = $kept->saves->isZero() ? [] : [new Alteration(implode(' ', $names), $kept->saves->negated(), [Role::Main])];

        return $this->with($project, $claim->laid($saved), [...$project->current->alterations, ...$saves]);
    }

    private function answer(Project $project): RoleAnswer
    {
        return (new SeasonCheck(new Assumptions(), memory: new LaidAtOnce(self::LOOKS)))->check($project->season, [
            $project,
        ])->projects[0]->roles[0];
    }

    private function random(): Project
    {
        $pieces = [
            self::flared('Front skirt', mt_rand(500, 900), mt_rand(250, 350), mt_rand(350, 600)),
            self::flared('Back skirt', mt_rand(500, 900), mt_rand(250, 350), mt_rand(350, 600)),
            ...1 === mt_rand(0, 1) ? [self::box('Sleeve', mt_rand(300, 600), mt_rand(250, 400), 2)] : [],
            ...1 === mt_rand(0, 1) ? [self::box('Facing', mt_rand(80, 200), mt_rand(200, 500), 2)] : [],
            ...1 === mt_rand(0, 1) ? [self::box('Pocket bag', mt_rand(150, 250), mt_rand(150, 250), 4)] : [],
        ];
        $alterations = array_map(
            static fn (int $i): Alteration => new Alteration('by '.$i, Length::ofMillimetres(10 * mt_rand(-10, 10))),
            range(1, mt_rand(1, 2)),
        );

        return $this->project(
            $pieces,
            (string) (mt_rand(180, 400) / 100),
            (string) (mt_rand(120, 300) / 100),
            0 === mt_rand(0, 2) ? (string) (mt_rand(10, 80) / 100) : null,
            0 === mt_rand(0, 1) ? $alterations : [],
            [Direction::None, Direction::TwoWay, Direction::OneWay][mt_rand(0, 2)],
            Matching::cases()[mt_rand(0, 2)],
            mt_rand(100, 160),
        );
    }

    /**
     * @param list<Piece>      $pieces
     * @param string           $printed     by the envelope, metres
     * @param string           $length      of the cut
     * @param list<Alteration> $alterations
     * @param int              $width       centimetres
     */
    private function project(
        array $pieces,
        string $printed,
        string $length,
        ?string $repeat,
        array $alterations = [],
        Direction $direction = Direction::None,
        Matching $matching = Matching::MainSeams,
        int $width = 140,
    ): Project {
        $row = new Requirement(Role::Main, Length::ofMillimetres(10 * $width), Nap::Either, ['14' => Length::ofMetres($printed)]);
        $version = new Version('version', 'A', new RequirementTable(['14'], [$row]), pieces: PieceSet::of($pieces, ['14']));
        $cut = new Cut('cut', [...Plan::cut($length, true)->ledger]);
        $cloth = new Cloth(
            'cloth',
            'Lawn',
            Width::of(Length::ofMillimetres(10 * $width), Length::ofMillimetres(10)),
            look: new ClothLook(direction: $direction, repeat: null === $repeat ? null : Length::ofMetres($repeat)),
            cuts: [$cut],
        );
        $pattern = new Pattern('pattern', 'Skirt', makes: new PatternGarment(garment: Garment::Skirt), versions: [$version]);

        return new Project(
            'project',
            'Skirt',
            Plan::season(),
            1,
            current: new Option(
                '',
                $pattern,
                $version,
                '14',
                alterations: $alterations,
                claims: [new Claim('claim', Role::Main, $cloth, $cut)],
                matching: $matching,
            ),
        );
    }

    /** @param list<Alteration> $alterations */
    private function with(Project $project, Claim $claim, array $alterations): Project
    {
        return new Project(
            $project->id,
            $project->name,
            $project->season,
            $project->rank,
            current: new Option(
                '',
                $project->current->pattern,
                $project->current->version,
                $project->current->size,
                alterations: $alterations,
                claims: [$claim],
                matching: $project->current->matching,
            ),
        );
    }

    private static function box(string $name, int $length, int $width, int $copies): Piece
    {
        return self::piece($name, Outline::rectangle($length, $width), $copies);
    }

    private static function flared(string $name, int $length, int $top, int $bottom): Piece
    {
        $in = ($bottom - $top) / 2;

        return self::piece($name, Outline::of([[0.0, $in], [0.0, $in + $top], [$length, $bottom], [$length, 0.0]]), 2);
    }

    private static function piece(string $name, Outline $outline, int $copies): Piece
    {
        return new Piece($name, Role::Main, $copies, shapes: [new Shape(['14'], $outline, null)]);
    }
}
