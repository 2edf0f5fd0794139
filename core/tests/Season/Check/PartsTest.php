<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\WorkingLine;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Steps;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The body of A with the sleeves of C. A's pieces: front and back 1000 × 500 mm, two sleeves 500 × 500: 1.5 m², of which the
 * sleeves are a third; its table says 2.40 m at 150 cm. C's: a body of 1.2 m² and two sleeves 600 × 500: 0.6 of 1.8 m², a
 * third; its table says 3.00 m. So A without its sleeves takes 1.60 m, C's sleeves 1.00 m: 2.60 m.
 */
final class PartsTest extends TestCase
{
    public function testByTableTheReplacedShareIsTakenOffAndTheirsComesOn(): void
    {
        $role = $this->role($this->project($this->sleevesOfC()));
        self::assertInstanceOf(Need::class, $role->need);
        self::assertSame([2600, NeedSource::ByArea, 15], [$role->need->amount->millimetres(), $role->need->way, $role->need->way->trust()]);
        $working = array_map(
            static fn (WorkingLine $line): string => $line->label.' '.$line->figure->length->millimetres(),
            $role->need->working()->lines,
        );
        self::assertSame('What comes from elsewhere: 33 % of the area 800', $working[2]);
        self::assertSame('The sleeves of C: 33 % of its 3.00 m, by area 1000', $working[3]);
        self::assertSame(Verdict::Fits, $role->verdict, '2.94 m usable');
    }

    public function testLaidOutTheUnionCountsUntilAPartIsAnother(): void
    {
        $part = $this->sleevesOfC();
        $project = $this->project($part);
        $lay = $this->lay($project);
        // front and back, 50 cm wide, beside each other on 148 cm: 1 m; the sleeves of C below them, 60 cm
        self::assertEquals(1600, $lay->sheets[0]->used->millimetres());
        $role = $this->role($this->project($part, lay: $lay));
        self::assertSame([1600, NeedSource::LaidOut], [$role->amount()?->millimetres(), $role->need->way ?? null]);
        $longer = [$this->box('Sleeve', 700, 500, 2)];
        $other = new Part(PartKind::Sleeves, $part->pattern, $this->version('C', '3.00', $longer), '14', ['Sleeve'], ['Sleeve']);
        $changed = $this->role($this->project($other, lay: $lay));
        self::assertSame(NeedSource::ByArea, $changed->need->way ?? null);
        $said = implode(' ', array_map(static fn (Snag $snag): string => (string) $snag->sentence, $changed->snags));
        self::assertStringContainsString('the pieces have been changed since', $said);
    }

    public function testALayOfWhatNobodyMeasuredSaysSo(): void
    {
        $said = function (Piece $collar): string {
            $body = $this->version('A', '2.40', [$this->box('Front', 1000, 500), $collar]);
            $lay = $this->lay($this->project(null, body: $body));
            $role = $this->role($this->project(null, body: $body, lay: $lay));
            self::assertSame(NeedSource::LaidOut, $role->need->way ?? null);

            return implode(' ', array_map(static fn (Snag $snag): string => (string) $snag->sentence, $role->snags));
        };
        self::assertStringContainsString('not measured on the paper: Collar', $said($this->drafted('Collar', Draft::Collar, [])));
        $first = Draft::Collar->measures()[0];
        $measured = $this->drafted('Collar', Draft::Collar, [$first->name => (int) $first->usual + 10]);
        self::assertStringNotContainsString('nobody has measured', $said($measured));
    }

    public function testWhatNobodyNamedIsAskedForAndCountsNothingInSilence(): void
    {
        $c = $this->sleevesOfC();
        $of = fn (string ...$pieces): Unknown => $this->unknown($this->role($this->project(
            new Part(PartKind::Sleeves, $c->pattern, $c->version, '14', array_values($pieces), ['Sleeve']),
        )));
        self::assertSame(Missing::Pieces, $of()->missing);
        self::assertSame('Say which pieces of C are the sleeves: it has Front, Back, Sleeve.', (string) $of()->settle);
        self::assertSame(
            'The sleeves of C lack Cuff in size 14: choose its pieces again.',
            (string) $of('Sleeve', 'Cuff')->settle,
        );
    }

    /** 1.60 m without its own; two usual sleeves 62 cm long and 40 cm wide at the cap lie beside each other on 148 cm. */
    public function testAPartWithoutPiecesWidensWhatIsKnownByItsUsualShare(): void
    {
        foreach ([new Part(PartKind::Sleeves, instead: ['Sleeve']), new Part(
            PartKind::Sleeves,
            $this->pattern('C'),
            $this->version('C', null, []),
            '14',
            instead: ['Sleeve'],
        )] as $part) {
            $role = $this->role($this->project($part));
            self::assertInstanceOf(Need::class, $role->need);
            self::assertSame(NeedSource::ByArea, $role->need->way);
            self::assertEqualsWithDelta(1600 + 640, (int) $role->need->amount->millimetres(), 30);
            self::assertStringContainsString('usual shares are counted', (string) $role->need->warnings[0]);
        }
    }

    public function testOnesOwnFigureForAPartCounts(): void
    {
        $role = $this->role($this->project(new Part(PartKind::Sleeves, instead: ['Sleeve'], stated: Length::ofMetres('1'))));
        self::assertSame(2600, $role->amount()?->millimetres(), '1.60 m without its own, and a metre');
        self::assertContains('The sleeves, by your own figure', array_map(
            static fn (WorkingLine $line): string => (string) $line->label,
            $role->working()->lines,
        ));
        self::assertSame([], $role->need instanceof Need ? $role->need->warnings : null);
    }

    public function testAnAddedPartBringsItsHoursAndItsStep(): void
    {
        $minutes = fn (Part ...$parts): array => array_values(array_filter(array_map(
            static fn (Step $step): ?array => str_starts_with($step->id, 'part-') ? [$step->name, $step->minutes] : null,
            Steps::of($this->project(null, parts: array_values($parts))),
        )));
        self::assertSame(
            [['Added collar', 90], ['Added pockets', 45]],
            $minutes(new Part(PartKind::Collar), new Part(PartKind::Pockets), new Part(PartKind::Sleeves, instead: ['Sleeve'])),
            'what takes the place of its own brings nothing',
        );
    }

    public function testOfWhatNoGarmentUsuallyHasNothingIsSaid(): void
    {
        $unknown = $this->unknown($this->role($this->project(new Part(PartKind::Hood))));
        self::assertNull($unknown->guess);
        self::assertSame('Nothing is known of the hood: enter the table or the pieces of their pattern.', (string) $unknown->settle);
    }

    public function testPiecesOfAPatternWithoutATableAreLaidInAMoment(): void
    {
        $pocket = new Version('D', 'D', new RequirementTable([], []), pieces: PieceSet::of([$this->box('Pocket', 200, 700)], []));
        $role = $this->role($this->project(new Part(PartKind::Pockets, $this->pattern('D'), $pocket, null, ['Pocket'])));
        // added, and nothing replaced: A's own 2.40 m and a pocket 20 cm long
        self::assertSame(2600, $role->amount()?->millimetres());
    }

    public function testWithoutATableOfTheMainPatternTheUnionIsGuessedFromItsPieces(): void
    {
        $project = $this->project($this->sleevesOfC(), table: null);
        $unknown = $this->unknown($this->role($project));
        // front and back 500 wide side by side on 148 cm, 1 m; the sleeves of C below, two of 500, 60 cm
        self::assertSame([1600, NeedSource::QuickLay], [$unknown->guess?->amount->millimetres(), $unknown->guess?->way]);
    }

    public function testTheUnionDecidesWhetherAPieceIsTooWide(): void
    {
        $wide = $this->version('C', '3.00', [$this->box('Sleeve', 600, 1490, 2)]);
        $role = $this->role($this->project(new Part(PartKind::Sleeves, $this->pattern('C'), $wide, '14', ['Sleeve'], ['Sleeve'])));
        self::assertSame(['Sleeve', Verdict::Short], [$role->tooWide?->piece, $role->verdict]);
    }

    /** @param list<string> $said */
    #[DataProvider('seams')]
    public function testSeamsThatMeetAreNamedToBeCompared(Part $part, array $said): void
    {
        $snags = array_map(
            static fn (Snag $snag): string => (string) $snag->sentence,
            Plan::check($this->project($part))->projects[0]->snags,
        );
        foreach ($said as $sentence) {
            self::assertContains($sentence, $snags);
        }
    }

    /** @return iterable<string, array{Part, list<string>}> */
    public static function seams(): iterable
    {
        $pattern = new Pattern(
            'x',
            'Ferry shirt',
            keeping: new PatternKeeping(ownership: Ownership::Wished, editions: [new Edition('small', ['10', '12'])]),
        );
        yield 'sleeves of nobody' => [new Part(PartKind::Sleeves), [
            'Mixed, sleeves that are not its own: compare the armhole with the sleeve cap before cutting.',
        ]];
        yield 'a collar of a pattern wished for' => [new Part(PartKind::Collar, $pattern), [
            'Mixed, collar from Ferry shirt: compare the neckline with the edge that is sewn to it before cutting.',
            'Mixed, collar from Ferry shirt: that pattern is wished for, not owned.',
        ]];
        yield 'a skirt in a size that is not there' => [
            new Part(
                PartKind::Skirt,
                new Pattern('y', 'Ferry skirt', keeping: new PatternKeeping(editions: [new Edition('small', ['10', '12'])])),
                size: '16',
            ),
            [
                'Mixed, skirt from Ferry skirt: compare both edges at the waist before cutting.',
                'Mixed: size 16 is outside the copy of Ferry skirt that is owned.',
            ],
        ];
    }

    public function testBothLengthsAndTheirDifferenceAreSaidWhereTheyAreKnown(): void
    {
        $body = $this->version('A', '2.40', [
            $this->drafted('Front', Draft::BodiceFront, ['half hem' => 250], true),
            $this->drafted('Back', Draft::BodiceBack, ['half hem' => 250], true),
        ]);
        $skirt = $this->version('C', '3.00', [$this->drafted('Skirt', Draft::Gathered, ['gathered to' => 480], quantity: 2)]);
        $project = $this->project(new Part(PartKind::Skirt, $this->pattern('C'), $skirt, '14', ['Skirt']), body: $body);
        $snags = array_map(static fn (Snag $snag): string => (string) $snag->sentence, Plan::check($project)->projects[0]->snags);
        // four times 25 cm above, twice 48 cm below
        self::assertContains(
            'Mixed, skirt: waist above 1.00 m, below 96 cm: what is sewn on is 4 cm shorter. Compare them before cutting.',
            $snags,
        );
    }

    private function role(Project $project): RoleAnswer
    {
        return (new SeasonCheck(new Assumptions()))->check($project->season, [$project])->projects[0]->roles[0];
    }

    private function unknown(RoleAnswer $role): Unknown
    {
        return $role->need instanceof Unknown ? $role->need : self::fail('It is known.');
    }

    private function sleevesOfC(): Part
    {
        $pieces = [$this->box('Front', 1200, 500), $this->box('Back', 1200, 500), $this->box('Sleeve', 600, 500, 2)];

        return new Part(PartKind::Sleeves, $this->pattern('C'), $this->version('C', '3.00', $pieces), '14', ['Sleeve'], ['Sleeve']);
    }

    private function pattern(string $name): Pattern
    {
        return new Pattern('pattern '.$name, 'Pattern '.$name, makes: new PatternGarment(garment: Garment::Shirt));
    }

    /** @param list<Part> $parts where there are several */
    private function project(
        ?Part $part,
        ?string $table = '2.40',
        ?Version $body = null,
        ?SavedLay $lay = null,
        array $parts = [],
    ): Project {
        $cloth = Plan::cloth('1.50', Plan::cut('3.00', true));
        $a = $body ?? $this->version('A', $table, [
            $this->box('Front', 1000, 500),
            $this->box('Back', 1000, 500),
            $this->box('Sleeve', 500, 500, 2),
        ]);

        return new Project(
            'mixed',
            'Mixed',
            Plan::season(),
            1,
            current: new Option(
                '',
                new Pattern('pattern', 'Ferry blouse', makes: new PatternGarment(garment: Garment::Shirt), versions: [$a]),
                $a,
                '14',
                claims: [new Claim('claim', Role::Main, $cloth, $cloth->cuts[0], lay: $lay)],
                parts: null === $part ? $parts : [$part],
            ),
        );
    }

    private function lay(Project $project): SavedLay
    {
        [$claim] = $project->current->claims;
        $version = $project->cutting($claim)->version ?? self::fail('It has a pattern.');
        $cloth = $claim->cloth ?? self::fail('It has a cloth.');
        $cut = $claim->cut ?? self::fail('It has a cut.');
        $mark = LaidSheet::markOf($cloth, $cut, false);
        $toCut = ToCut::of($cloth, $cut, new Assumptions(), laid: true);
        $setup = new LaySetup(
            [new LaidSheet($cloth, $cut, $toCut->width ?? Length::zero(), $toCut->length, Length::zero(), $mark)],
            [new LaidGarment('Mixed', 'mixed', $version->id, Role::Main, '14', $version->pieces->mark('14'))],
            [$version->pieces->in('14', Role::Main)],
        );
        $request = $setup->request([Fold::Flat]) ?? self::fail('There is something to lay.');
        $looks = 0;
        $lay = (new LayMaker())->make($request, static function () use (&$looks): float {
            return ++$looks / 40;
        });

        return $setup->saved('lay', 'Mixed', $lay, [] === (new Judge())->faults($request, $lay), []);
    }

    /** @param list<Piece> $pieces */
    private function version(string $name, ?string $length, array $pieces): Version
    {
        $rows = null === $length
            ? []
            : [new Requirement(Role::Main, Length::of('150', Unit::Centimetre), Nap::Without, ['14' => Length::ofMetres($length)])];

        return new Version('version '.$name, $name, new RequirementTable(['14'], $rows), pieces: PieceSet::of($pieces, ['14']));
    }

    private function box(string $name, float $long, float $wide, int $quantity = 1): Piece
    {
        return new Piece($name, quantity: $quantity, shapes: [
            new Shape([], Outline::of([[0.0, 0.0], [$long, 0.0], [$long, $wide], [0.0, $wide]])),
        ]);
    }

    /** @param array<string, int> $measures */
    private function drafted(string $name, Draft $draft, array $measures, bool $onFold = false, int $quantity = 1): Piece
    {
        $shape = Shape::drafted(Drafted::of($draft, $measures), [], Length::ofMillimetres(15));

        return new Piece($name, quantity: $quantity, onFold: $onFold, shapes: [$shape]);
    }
}
