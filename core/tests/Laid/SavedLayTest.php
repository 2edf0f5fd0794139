<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Laid;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LayReview;
use Octavum\Core\Laid\LayRules;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Hand;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMeasure;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Status;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Shopping\ShoppingList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Two cuts of one cloth, 1.50 m and 1.00 m × 1.40 m usable, squared already; a skirt of two panels, 60 × 70 cm. */
final class SavedLayTest extends TestCase
{
    public function testALayThatHoldsIsTheNeedAndItsWorkingSaysSo(): void
    {
        $answer = $this->only(
            $this->check([$this->project('skirt', $this->lay([['skirt', 0, 0, 0, 600, 700], ['skirt', 0, 0, 700, 600, 700]], [600, 0]))]),
        );
        self::assertSame(Verdict::Fits, $answer->verdict);
        self::assertInstanceOf(Need::class, $answer->need);
        self::assertSame([NeedSource::LaidOut, 600_000], [$answer->need->way, $answer->need->amount->micrometres]);
        $label = $answer->need->working()->lines[0]->label;
        self::assertSame('Laid out, {fold}: {percent} % of the length used is in pieces', $label->message);
        self::assertSame(840_000, $answer->spare?->micrometres, '1.44 − 0.60');
    }

    /** One panel of 60 × 70 cm on 140 cm: as much again lies beside it; with another garment there nobody can say. */
    public function testWhatIsLeftBesideThePieces(): void
    {
        $lay = $this->lay([['skirt', 0, 0, 0, 600, 700]], [600, 0]);
        $rests = $lay->remnants(0, $lay->sheets[0]);
        self::assertCount(1, $rests);
        self::assertSame([600, 700], [$rests[0][0]->millimetres(), $rests[0][1]->millimetres()]);
        $both = $this->lay([['skirt', 0, 0, 0, 600, 700], ['skirt', 0, 0, 700, 600, 700]], [600, 0]);
        self::assertSame([], $both->remnants(0, $both->sheets[0]), 'nothing is left beside them');
        $shared = $this->lay([['skirt', 0, 0, 0, 600, 700], ['top', 0, 0, 700, 600, 300]], [600, 0], ['skirt', 'top']);
        self::assertSame([], $shared->remnants(0, $shared->sheets[0]));
    }

    /** 600 mm used by both: two thirds of the area are the skirt's. */
    public function testTwoThatShareACutShareItsLengthByArea(): void
    {
        $lay = $this->lay([['skirt', 0, 0, 0, 600, 800], ['top', 0, 0, 800, 600, 400]], [600, 0], ['skirt', 'top']);
        $answers = $this->check([$this->project('skirt', $lay), $this->project('top', $lay)]);
        self::assertSame([400_000, 200_000], array_map(static fn (RoleAnswer $role): ?int => $role->amount()?->micrometres, $answers));
        self::assertSame(840_000, $answers[1]->spare?->micrometres, 'the second sees what both leave');
        self::assertSame(['top'], $lay->laidOut(0, $lay->sheets[0])->others);
        $alone = new SavedLay(
            'l',
            'l',
            Fold::Flat,
            $lay->sheets,
            [$lay->garments[0], new LaidGarment('top', null, 'v', Role::Main, '14', '')],
            $lay->pieces,
            true,
            0.8,
        );
        self::assertSame(
            600_000,
            $alone->laidOut(0, $alone->sheets[0])->share->micrometres,
            'what is laid for no project counts with the first that is one',
        );
    }

    public function testALayOnTwoCutsClaimsBothAndAnswersForEach(): void
    {
        $answers = $this->check([
            $this->project('skirt', $this->lay([['skirt', 0, 0, 0, 600, 700], ['skirt', 1, 0, 0, 950, 700]], [600, 950])),
        ]);
        self::assertSame(['a', 'b'], array_map(static fn (RoleAnswer $role): ?string => $role->claim->cut?->id, $answers));
        self::assertSame(
            [Verdict::Fits, Verdict::Short],
            array_map(static fn (RoleAnswer $role): ?Verdict => $role->verdict, $answers),
            '0.95 of 0.94 m',
        );
    }

    public function testClothToBeBoughtIsAskedForAtTheWidthItWasLaidOn(): void
    {
        $laid = $this->lay([['skirt', 0, 0, 0, 600, 700]], [600]);
        $roll = new SavedLay(
            'lay',
            'Skirt',
            Fold::Flat,
            [new LaidSheet(null, null, Length::ofMillimetres(1350), null, Length::ofMillimetres(600))],
            $laid->garments,
            $laid->pieces,
            true,
            0.8,
        );
        $project = $this->project('skirt', $laid);
        $wish = new Project(
            'skirt',
            'skirt',
            $project->season,
            1,
            current: new Option(
                '',
                $project->current->pattern,
                $project->current->version,
                '14',
                claims: [new Claim('c', Role::Main, wish: new Wish('Linen', FibreMix::unknown()), lay: $roll)],
            ),
        );
        $checked = (new SeasonCheck(new Assumptions()))->check($wish->season, [$wish]);
        $answer = $checked->projects[0]->roles[0];
        self::assertSame(
            [Verdict::ToBuy, 600_000, 1_370_000],
            [$answer->verdict, $answer->amount()?->micrometres, $answer->atWidth?->micrometres],
        );
        $asks = (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile($checked)[0]->asks;
        self::assertSame(
            [900_000, 1_120_000, 1_370_000, 1_400_000, 1_500_000],
            array_map(static fn (array $ask): int => $ask['width']->micrometres, $asks),
        );
    }

    /** @param \Closure(self): Project $project */
    #[DataProvider('changes')]
    public function testALayGoesStaleWhenWhatItWasMadeWithChanges(\Closure $project, string $why): void
    {
        $answer = $this->only($this->check([$project($this)]));
        self::assertNotSame(NeedSource::LaidOut, $answer->need instanceof Need ? $answer->need->way : null);
        $snags = array_values(array_filter($answer->snags, static fn ($snag): bool => Action::LayAgain === $snag->action));
        self::assertCount(1, $snags);
        self::assertInstanceOf(Sentence::class, $snags[0]->sentence->with['why']);
        self::assertStringContainsString($why, (string) $snags[0]->sentence->with['why']);
    }

    /** @return iterable<string, array{\Closure(self): Project, string}> */
    public static function changes(): iterable
    {
        $lay = static fn (self $t): SavedLay => $t->lay([['skirt', 0, 0, 0, 600, 700]], [600, 0]);
        yield 'size' => [
            static fn (self $t): Project => $t->project('skirt', $lay($t), size: '16'),
            'it was laid in size 14, and the size is 16 now',
        ];
        yield 'pieces' => [static fn (self $t): Project => $t->project('skirt', $lay($t), panel: 720), 'the pieces have been changed'];
        yield 'width' => [static fn (self $t): Project => $t->project('skirt', $lay($t), cloth: $t->cloth(1300)), 'a usable width of'];
        yield 'direction' => [
            static fn (self $t): Project => $t->project('skirt', $lay($t), cloth: $t->cloth(1420, Direction::OneWay)),
            'one-way',
        ];
        yield 'a bite taken out since' => [
            static fn (self $t): Project => $t->project(
                'skirt',
                $lay($t),
                cloth: $t->cloth(
                    1420,
                    bites: [new Bite(Length::zero(), Length::zero(), Length::ofMillimetres(300), Length::ofMillimetres(300))],
                ),
            ),
            'what is missing from Tweed',
        ];
        yield 'no mark' => [
            static fn (self $t): Project => $t->project('skirt', $t->changed($lay($t), sheetMark: '')),
            'what is missing from Tweed',
        ];
        yield 'the cloth has a repeat' => [
            static fn (self $t): Project => $t->project('skirt', $lay($t), cloth: $t->cloth(1420, repeat: 64)),
            'without matching the repeat',
        ];
        yield 'another cut' => [
            static fn (self $t): Project => $t->project('skirt', $t->lay([['skirt', 0, 0, 0, 600, 700]], [600]), cut: 1),
            'another cut',
        ];
        yield 'not sound' => [
            static fn (self $t): Project => $t->project('skirt', $t->lay([['skirt', 0, 0, 0, 600, 700]], [600, 0], sound: false)),
            'lies where it cannot',
        ];
    }

    public function testUnfoldedAFoldedLayCoversBothSidesOfItsFold(): void
    {
        $lengthwise = $this->lay([['skirt', 0, 0, 0, 600, 300]], [600, 0], fold: Fold::Lengthwise, layers: 2);
        self::assertSame(
            [400.0, 1000.0, 360_000.0],
            $this->extent($lengthwise->unfolded(0, $lengthwise->sheets[0])),
            'the fold lies in the middle, at 700',
        );
        $gate = $this->lay([['skirt', 0, 0, 0, 600, 300], ['skirt', 0, 0, 400, 600, 300]], [600, 0], fold: Fold::Gate, layers: 2);
        self::assertSame([50.0, 1350.0, 720_000.0], $this->extent($gate->unfolded(0, $gate->sheets[0])), 'the folds lie at 350 and 1050');
    }

    /**
     * @param list<Outline> $outlines
     *
     * @return array{float, float, float} lowest and highest y, and the area
     */
    private function extent(array $outlines): array
    {
        $area = 0.0;
        $ys = [];
        foreach ($outlines as $outline) {
            $area += $outline->area();
            array_push($ys, $outline->bottom, $outline->top);
        }

        return [] === $ys ? [0, 0, 0] : [min($ys), max($ys), $area];
    }

    public function testOnOneWayClothOnlyWhatIsEasedMayLieUpsideDown(): void
    {
        $laid = fn (bool $across): array => array_map(
            static fn (LayPiece $piece): array => [$piece->turns(true), $piece->turns(false)],
            $this->laidSo($across)->request([Fold::Flat])->pieces ?? [],
        );
        self::assertSame([[[0], [0, 180]], [[0, 180], [0, 180]]], $laid(false), 'the front as the cloth goes, the band either way');
        self::assertSame([[[90], [90, 270]], [[90, 270], [90, 270]]], $laid(true), 'all of it across');
        $none = new Lay(Status::Short, Fold::Flat, [], [], [], [], [], new LayMeasure(0));
        $lay = $this->laidSo(true)->saved('lay', 'Across', $none, false, []);
        self::assertSame([['0/Band'], true], [$lay->rules->eased, $lay->rules->across], 'and it is kept so');
    }

    private function laidSo(bool $across): LaySetup
    {
        $cloth = $this->cloth(1420);

        return new LaySetup(
            [new LaidSheet($cloth, $cloth->cuts[0], Length::ofMillimetres(1400), Length::ofMillimetres(1440), Length::zero())],
            [new LaidGarment('skirt', 'skirt', 'v', Role::Main, '14', '')],
            [[$this->panel('Front', 700), $this->panel('Band', 100)]],
            new LayRules(eased: ['0/Band'], across: $across),
        );
    }

    public function testASetupLeavesOutWhatComesFromOtherClothAndWhatIsMissingFromTheCut(): void
    {
        $cloth = $this->cloth(
            1420,
            bites: [new Bite(Length::zero(), Length::zero(), Length::ofMillimetres(630), Length::ofMillimetres(410))],
        );
        $setup = new LaySetup(
            [new LaidSheet($cloth, $cloth->cuts[0], Length::ofMillimetres(1400), Length::ofMillimetres(1440), Length::zero())],
            [new LaidGarment('skirt', 'skirt', 'v', Role::Main, '14', '')],
            [[$this->panel('Front', 700), $this->panel('Band', 100)]],
            new LayRules(off: ['0/Band']),
        );
        $request = $setup->request([Fold::Flat]);
        self::assertNotNull($request);
        self::assertSame(['0/Front'], array_map(static fn ($piece): string => $piece->id, $request->pieces));
        self::assertSame([[0.0, 0.0, 600.0, 400.0]], $request->sheets[0]->bites, 'squared by 3 cm, the selvage of 1 cm off');
        $place = static fn (float $x, float $y): array => [
            'piece' => '0/Front',
            'copy' => 1,
            'sheet' => 's0',
            'turn' => 0,
            'flipped' => false,
            'x' => $x,
            'y' => $y,
        ];
        $on = (new Hand())->lay($request, Fold::Flat, [$place(0, 0)]);
        $about = ['piece' => '0/Front', 'copy' => 1];
        self::assertContainsEquals(new Fault(FaultKind::NoCloth, $about), (new Judge())->faults($request, $on));
        $beside = (new Hand())->lay($request, Fold::Flat, [$place(0, 400)]);
        self::assertSame(
            [],
            array_filter((new Judge())->faults($request, $beside), static fn (Fault $fault): bool => FaultKind::Count !== $fault->kind),
        );
        self::assertNull((new LaySetup([], [], []))->request([Fold::Flat]));
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<RoleAnswer>
     */
    private function check(array $projects): array
    {
        return array_merge(
            ...array_map(
                static fn ($answer): array => $answer->roles,
                (new SeasonCheck(new Assumptions()))->check($projects[0]->season, $projects)->projects,
            ),
        );
    }

    /** @param list<RoleAnswer> $answers */
    private function only(array $answers): RoleAnswer
    {
        self::assertCount(1, $answers);

        return $answers[0];
    }

    public function testALayOfGenericPiecesNeverDecides(): void
    {
        $lay = $this->changed($this->lay([['skirt', 0, 0, 0, 600, 700]], [600, 0]), garmentMark: '');
        $answer = $this->only($this->check([$this->project('skirt', $lay)]));
        self::assertSame(Verdict::NotKnown, $answer->verdict, 'the version has no table');
        $snags = array_values(array_filter($answer->snags, static fn ($snag): bool => Action::EnterPieces === $snag->action));
        self::assertStringContainsString('generic pieces, so it only guesses', $snags[0]->sentence->message ?? '');
    }

    public function testPiecesForASizeThatCameLaterHaveAMarkOfTheirOwn(): void
    {
        $set = PieceSet::later(['14' => 'as stored'], [], fn (): array => [$this->panel('Panel', 700)]);
        self::assertSame('as stored', $set->mark('14'));
        self::assertNotSame('', $set->mark('16'), 'the pieces hold for all sizes');
        self::assertSame(700_000, $set->widest('16', Role::Main)?->across->micrometres);
        self::assertSame('', PieceSet::none()->mark('16'));
    }

    /** @param \Closure(SavedLay): SavedLay $tamper */
    #[DataProvider('tampered')]
    public function testALayFromOutsideIsJudgedAgain(\Closure $tamper, bool $sound, int $used): void
    {
        $project = $this->project('skirt', $this->lay([['skirt', 0, 0, 0, 600, 700], ['skirt', 0, 0, 700, 600, 700]], [600, 0]));
        $lay = $project->current->claims[0]->lay;
        self::assertNotNull($lay);
        self::assertNotNull($project->current->pattern);
        self::assertNotNull($project->current->version);
        $read = (new LayReview(new Assumptions()))->review(
            $tamper($lay),
            ['#v' => [$project->current->pattern, $project->current->version]],
            static fn (): array => [],
        );
        self::assertSame([$sound, $used], [$read->sound, (int) $read->sheets[0]->used->millimetres()]);
    }

    /** @return iterable<string, array{\Closure(SavedLay): SavedLay, bool, int}> */
    public static function tampered(): iterable
    {
        $with = static fn (SavedLay $lay, array $pieces, ?Length $used = null): SavedLay => new SavedLay(
            $lay->id,
            $lay->name,
            $lay->fold,
            array_map(
                static fn (LaidSheet $sheet): LaidSheet => new LaidSheet(
                    $sheet->cloth,
                    $sheet->cut,
                    $sheet->width,
                    $sheet->length,
                    $used ?? $sheet->used,
                    $sheet->mark,
                ),
                $lay->sheets,
            ),
            $lay->garments,
            array_values(array_filter($pieces, static fn (mixed $piece): bool => $piece instanceof LaidPiece)),
            $lay->sound,
            $lay->utilisation,
        );
        $at = static fn (LaidPiece $piece, float $y): LaidPiece => new LaidPiece(
            0,
            'Panel',
            $piece->copy,
            0,
            0,
            false,
            1,
            0,
            $y,
            Outline::rectangle(600, 700)->moved(0, $y),
        );
        yield 'as it was' => [static fn (SavedLay $lay): SavedLay => $with($lay, $lay->pieces), true, 600];
        yield 'a shorter length said' => [
            static fn (SavedLay $lay): SavedLay => $with($lay, $lay->pieces, Length::ofMillimetres(200)),
            true,
            600,
        ];
        yield 'heaped' => [
            static fn (SavedLay $lay): SavedLay => $with(
                $lay,
                array_map(static fn (LaidPiece $piece): LaidPiece => $at($piece, 0), $lay->pieces),
            ),
            false,
            600,
        ];
        yield 'one dropped' => [static fn (SavedLay $lay): SavedLay => $with($lay, [$lay->pieces[0]]), false, 600];
        yield 'drawn smaller' => [
            static fn (SavedLay $lay): SavedLay => $with($lay, [
                $lay->pieces[0],
                new LaidPiece(0, 'Panel', 2, 0, 0, false, 1, 0, 700, Outline::rectangle(300, 700)->moved(0, 700)),
            ]),
            false,
            600,
        ];
    }

    private function changed(SavedLay $lay, ?string $garmentMark = null, ?string $sheetMark = null): SavedLay
    {
        $sheets = array_map(
            static fn (LaidSheet $sheet): LaidSheet => new LaidSheet(
                $sheet->cloth,
                $sheet->cut,
                $sheet->width,
                $sheet->length,
                $sheet->used,
                $sheetMark ?? $sheet->mark,
            ),
            $lay->sheets,
        );
        $garments = array_map(
            static fn (LaidGarment $one): LaidGarment => new LaidGarment(
                $one->name,
                $one->project,
                $one->version,
                $one->role,
                $one->size,
                $garmentMark ?? $one->mark,
            ),
            $lay->garments,
        );

        return new SavedLay(
            $lay->id,
            $lay->name,
            $lay->fold,
            $sheets,
            $garments,
            $lay->pieces,
            $lay->sound,
            $lay->utilisation,
        );
    }

    /** @param list<Bite> $bites */
    private function cloth(int $full, Direction $direction = Direction::None, array $bites = [], ?int $repeat = null): Cloth
    {
        $cut = static fn (string $id, int $length): Cut => new Cut(
            $id,
            [new LedgerEntry(new \DateTimeImmutable('2026-11-01'), LedgerKind::Washed, Length::ofMillimetres($length))],
            bites: $bites,
        );

        return new Cloth(
            'tweed',
            'Tweed',
            Width::of(Length::ofMillimetres($full), Length::ofMillimetres(10)),
            look: new ClothLook(direction: $direction, repeat: null === $repeat ? null : Length::ofMillimetres($repeat)),
            cuts: [$cut('a', 1500), $cut('b', 1000)],
        );
    }

    private function panel(string $name, float $width): Piece
    {
        return new Piece($name, quantity: 2, shapes: [new Shape([], Outline::rectangle(600, $width))]);
    }

    private function version(float $panel = 700): Version
    {
        return new Version(
            'v',
            'A',
            new RequirementTable(['14', '16'], []),
            pieces: PieceSet::of([$this->panel('Panel', $panel)], ['14', '16']),
        );
    }

    private function project(
        string $id,
        SavedLay $lay,
        string $size = '14',
        float $panel = 700,
        ?Cloth $cloth = null,
        int $cut = 0,
    ): Project {
        $cloth ??= $this->cloth(1420);
        $version = $this->version($panel);
        $sheets = array_map(
            static fn (LaidSheet $sheet, int $i): LaidSheet => new LaidSheet(
                $cloth,
                $cloth->cuts[$i],
                $sheet->width,
                $sheet->length,
                $sheet->used,
                $sheet->mark,
            ),
            $lay->sheets,
            array_keys($lay->sheets),
        );
        $lay = new SavedLay(
            $lay->id,
            $lay->name,
            $lay->fold,
            $sheets,
            $lay->garments,
            $lay->pieces,
            $lay->sound,
            $lay->utilisation,
        );

        return new Project(
            $id,
            $id,
            new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 13, 360),
            'skirt' === $id ? 1 : 2,
            current: new Option(
                '',
                new Pattern('p', 'Skirt', versions: [$version]),
                $version,
                $size,
                claims: [new Claim($id.'#0', Role::Main, $cloth, $cloth->cuts[$cut], lay: $lay)],
            ),
        );
    }

    /**
     * @param list<array{string, int, float, float, float, float}> $pieces   garment, sheet, x, y, length and width
     * @param non-empty-list<int>                                  $used     of each sheet
     * @param list<string>                                         $garments
     */
    private function lay(
        array $pieces,
        array $used,
        array $garments = ['skirt'],
        Fold $fold = Fold::Flat,
        int $layers = 1,
        bool $sound = true,
    ): SavedLay {
        $cloth = $this->cloth(1420);
        $mark = $this->version()->pieces->mark('14');
        $sheets = array_map(
            static fn (int $i): LaidSheet => new LaidSheet(
                $cloth,
                $cloth->cuts[$i],
                Length::ofMillimetres(1400),
                Length::ofMillimetres([1440, 940][$i]),
                Length::ofMillimetres($used[$i]),
                LaidSheet::markOf($cloth, $cloth->cuts[$i], false),
            ),
            array_keys($used),
        );

        return new SavedLay(
            'lay',
            'Skirt',
            $fold,
            $sheets,
            array_map(static fn (string $name): LaidGarment => new LaidGarment($name, $name, 'v', Role::Main, '14', $mark), $garments),
            array_map(
                static fn (array $p, int $i): LaidPiece => new LaidPiece(
                    (int) array_search($p[0], $garments, true),
                    'Panel',
                    $i + 1,
                    $p[1],
                    0,
                    false,
                    $layers,
                    $p[2],
                    $p[3],
                    Outline::rectangle($p[4], $p[5])->moved($p[2], $p[3]),
                ),
                $pieces,
                array_keys($pieces),
            ),
            $sound,
            0.8,
        );
    }
}
