<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
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
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\LaidTogether;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/**
 * A pinafore for four children: by its table 60, 70, 80 and 90 cm of cloth 150 cm wide, 3.00 m one by one. Each is one piece 70 cm wide, so
 * that two columns lie beside each other on 148 cm: the longest and the shortest, and the two between, 1.50 m each.
 */
final class CopiesTest extends TestCase
{
    private const LENGTHS = ['2' => 600, '4' => 700, '6' => 800, '8' => 900];

    public function testFourSizesOneByOneTakeTheirSum(): void
    {
        $cloth = $this->cloth('2.80');
        $project = $this->project($cloth);
        $promises = (new SeasonCheck(new Assumptions()))->promises([$project])['cut of Heron lawn'];
        self::assertSame(
            ['Pinafore', 'Pinafore, Suvi', 'Pinafore, Aino', 'Pinafore, 4'],
            array_map(static fn (Reservation $promise): string => $promise->project->name, $promises),
        );
        self::assertSame(3000, Reservation::total($promises)->millimetres());
        $roles = Plan::check($project)->projects[0]->roles;
        self::assertSame(
            [Verdict::Fits, Verdict::Fits, Verdict::Fits, Verdict::Short],
            array_map(static fn (RoleAnswer $role): ?Verdict => $role->verdict, $roles),
        );
        self::assertSame(260, $roles[3]->missing()?->millimetres(), '2.74 m usable, 3.00 m needed');
        self::assertSame(Verdict::Short, Plan::check($project)->projects[0]->verdict);
    }

    public function testLaidTogetherTheyTakeLessAndItIsSaidByHowMuch(): void
    {
        $cloth = $this->cloth('2.80');
        $plain = $this->project($cloth);
        $lay = $this->lay($plain, $cloth);
        self::assertEquals(1500, $lay->sheets[0]->used->millimetres());
        $answer = Plan::check($this->project($cloth, $lay))->projects[0];
        self::assertSame(
            [NeedSource::LaidOut],
            array_values(
                array_unique(
                    array_map(static fn (RoleAnswer $role): ?NeedSource => $role->need->way ?? null, $answer->roles),
                    \SORT_REGULAR,
                ),
            ),
        );
        self::assertSame(Verdict::Fits, $answer->verdict);
        $total = array_reduce(
            $answer->roles,
            static fn (Length $sum, RoleAnswer $role): Length => $sum->plus($role->amount() ?? Length::zero()),
            Length::zero(),
        );
        self::assertEqualsWithDelta(1500, $total->millimetres(), 0.01);
        $together = (new LaidTogether(new Estimator(new Assumptions())))->compare($answer);
        self::assertInstanceOf(Sentence::class, $together);
        self::assertSame('Laid together they take 1.50 m; one by one the envelope asks 3.00 m: 1.50 m less.', (string) $together);
    }

    public function testNothingIsSaidOfThemTogetherBeforeAllAreLaid(): void
    {
        $together = new LaidTogether(new Estimator(new Assumptions()));
        self::assertNull($together->compare(Plan::check($this->project($this->cloth('2.80')))->projects[0]));
        $alone = new Project('p', 'P', Plan::season(), 1);
        self::assertNull($together->compare(Plan::check($alone)->projects[0]));
    }

    /** Each further one takes 70 %: 100 + 3 × 70 = 310 minutes of 100. */
    public function testTheHoursFall(): void
    {
        self::assertSame(310, $this->project($this->cloth('2.80'))->expectedMinutes());
        self::assertSame(100, (new Option('o', version: $this->version()))->expectedMinutes());
        self::assertSame(250, (new Option('o', version: $this->version(), minutes: 250, copies: [new Copy()]))->expectedMinutes());
    }

    public function testACopyFromAClothOfItsOwnClaimsNothingOfTheFirst(): void
    {
        $cloth = $this->cloth('2.80');
        $other = Plan::cloth('150 cm', Plan::cut('1.00', washed: true, id: 'other'), name: 'Other');
        $project = $this->project($cloth, null, $other);
        $promises = (new SeasonCheck(new Assumptions()))->promises([$project]);
        self::assertSame(2100, Reservation::total($promises['cut of Heron lawn'])->millimetres());
        self::assertSame(900, Reservation::total($promises['other'])->millimetres());
    }

    public function testWhoHasGrownIsSaidOfEachOnceOnly(): void
    {
        $child = static fn (string $name, string $height): Person => new Person($name, $name, true, measured: [
            new Measured(new \DateTimeImmutable('2026-10-04'), ['height' => Length::of($height, Unit::Centimetre)]),
        ]);
        $chart = (new SizeChartReader())->read("2 4 6 8\nheight 92 104 116 128", Unit::Centimetre);
        $version = $this->version();
        $project = new Project(
            'pinafore',
            'Pinafore',
            Plan::season(),
            1,
            brief: new ProjectBrief($child('Eero', '104')),
            current: new Option(
                '',
                new Pattern('k', 'Pinafore', chart: $chart, versions: [$version]),
                $version,
                '2',
                copies: [
                    new Copy($child('Suvi', '104'), '4'),
                    new Copy($child('Aino', '128'), '6'),
                    new Copy($child('Odalys', '128'), '4'),
                ],
            ),
        );
        self::assertSame(
            [
                'Pinafore, Aino: size 6 is planned, and by the chart Aino takes 8.',
                'Pinafore, Odalys: size 4 is planned, and by the chart Odalys takes 8.',
                'Pinafore: size 2 is planned, and by the chart Eero takes 4.',
            ],
            array_values(array_filter(
                array_map(static fn (Snag $snag): string => (string) $snag->sentence, Plan::check($project)->projects[0]->snags),
                static fn (string $says): bool => str_contains($says, 'by the chart'),
            )),
        );
    }

    private function cloth(string $length): Cloth
    {
        return Plan::cloth('150 cm', Plan::cut($length, washed: true, id: 'cut of Heron lawn'));
    }

    private function version(): Version
    {
        $shapes = [];
        foreach (self::LENGTHS as $size => $length) {
            $shapes[] = new Shape([(string) $size], Outline::rectangle($length, 700));
        }
        $sizes = array_map(strval(...), array_keys(self::LENGTHS));

        return new Version(
            'v',
            'A',
            new RequirementTable($sizes, [
                new Requirement(
                    Role::Main,
                    Length::ofMillimetres(1500),
                    Nap::Without,
                    array_map(Length::ofMillimetres(...), self::LENGTHS),
                ),
            ]),
            minutes: 100,
            pieces: PieceSet::of([new Piece('Front', shapes: $shapes)], $sizes),
        );
    }

    private function project(Cloth $cloth, ?SavedLay $lay = null, ?Cloth $last = null): Project
    {
        $version = $this->version();
        $claim = static fn (string $id, Cloth $of): Claim => new Claim($id, Role::Main, $of, $of->cuts[0], lay: $lay);

        return new Project(
            'pinafore',
            'Pinafore',
            Plan::season(),
            1,
            brief: new ProjectBrief(new Person('eero', 'Eero', true)),
            current: new Option(
                '',
                new Pattern('k', 'Pinafore', versions: [$version]),
                $version,
                '2',
                claims: [$claim('a', $cloth)],
                copies: [
                    new Copy(new Person('suvi', 'Suvi', true), '4', claims: [$claim('b', $cloth)]),
                    new Copy(new Person('aino', 'Aino', true), '6', claims: [$claim('c', $cloth)]),
                    new Copy(null, '8', claims: [$claim('d', $last ?? $cloth)]),
                ],
            ),
        );
    }

    private function lay(Project $project, Cloth $cloth): SavedLay
    {
        $pieces = $project->current->version->pieces ?? throw new \LogicException();
        $garments = [];
        foreach ($project->lines() as $line) {
            $size = $line->largestSize();
            $garments[] = new LaidGarment($line->name, $line->id, 'v', Role::Main, $size, $pieces->mark($size));
        }
        $sheet = new LaidSheet($cloth, $cloth->cuts[0], Length::ofMillimetres(1480), Length::ofMillimetres(2740), Length::zero());
        $setup = new LaySetup(
            [$sheet],
            $garments,
            array_map(static fn (LaidGarment $garment): array => $pieces->in($garment->size, Role::Main), $garments),
        );
        $request = $setup->request([Fold::Flat]) ?? throw new \LogicException();
        $looks = 0;
        $lay = (new LayMaker())->make($request, static function () use (&$looks): float {
            return ++$looks / 40;
        });

        return $setup->saved('lay', 'Four', $lay, [] === (new Judge())->faults($request, $lay), []);
    }
}
