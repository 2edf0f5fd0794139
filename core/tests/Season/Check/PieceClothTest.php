<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
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
use Octavum\Core\Project\PieceAssigner;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\ClothOffer;
use Octavum\Core\Season\Offers;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

final class PieceClothTest extends TestCase
{
    /** Five bands of a cushion 50 cm wide, 12 cm deep, cut twice: of five remnants, each with its own figure. */
    public function testFiveClothsGoIntoOneCushion(): void
    {
        $bands = array_map(fn (int $i): Piece => $this->box('Band '.$i, 120, 500, 2), range(1, 5));
        $claims = [];
        // 54 cm less the selvages and 3 % take one band beside none, so 24 cm of each; 106 cm take both side by side, 12 cm
        $remnants = [1 => ['0.30', '0.54'], ['0.20', '0.54'], ['0.40', '0.54'], ['0.13', '1.06'], ['0.11', '1.06']];
        foreach ($remnants as $i => [$length, $width]) {
            $cloth = $this->cloth('Remnant '.$i, $length, $width);
            $claims[] = new Claim('claim '.$i, Role::Main, $cloth, $cloth->cuts[0], pieces: ['Band '.$i]);
        }
        $answer = $this->check($bands, $claims);
        self::assertSame(
            [[240, 60], [240, -40], [240, 160], [120, 10], [120, -10]],
            array_map(
                static fn (RoleAnswer $role): array => [(int) $role->amount()?->millimetres(), (int) $role->spare?->millimetres()],
                $answer->roles,
            ),
        );
        self::assertSame(
            [Verdict::Tight, Verdict::Short, Verdict::Fits, Verdict::Tight, Verdict::Short],
            array_map(static fn (RoleAnswer $role): ?Verdict => $role->verdict, $answer->roles),
        );
        self::assertSame(NeedSource::QuickLay, $answer->roles[0]->need->way ?? null);
        self::assertSame('Band 1', (string) $answer->roles[0]->claim->title());
    }

    public function testAStripTakesAPocketAndNoSleeve(): void
    {
        $strip = $this->cloth('Strip', '1.10', '0.45');
        $pieces = [$this->box('Pocket', 180, 160, 2), $this->box('Sleeve', 620, 440, 2)];
        $of = fn (string $piece): RoleAnswer => $this->check($pieces, [
            new Claim('claim', Role::Main, $strip, $strip->cuts[0], pieces: [$piece]),
        ])->roles[0];
        // two pockets of 16 cm lie side by side on 43 cm: 18 cm of 1.10 m
        self::assertSame([Verdict::Fits, 180, 920], [
            $of('Pocket')->verdict,
            (int) $of('Pocket')->amount()?->millimetres(),
            (int) $of('Pocket')->spare?->millimetres(),
        ]);
        self::assertSame([Verdict::Short, 'Sleeve'], [$of('Sleeve')->verdict, $of('Sleeve')->tooWide?->piece]);
        $offers = fn (Piece ...$wanted): array => array_map(
            static fn (ClothOffer $offer): string => $offer->cloth->name.' '.$offer->need->millimetres().' '.$offer->left()->millimetres(),
            (new Offers(new Assumptions()))->find(
                array_values($wanted),
                '14',
                [$this->cloth('Bolt', '3.00', '1.50'), $strip, $this->cloth('Scrap', '0.15', '0.90')],
            ),
        );
        self::assertSame(['Strip 180 920', 'Bolt 180 2820'], $offers($pieces[0]));
        self::assertSame(['Bolt 620 2380'], $offers($pieces[1]));
        self::assertSame(['Bolt 620 2380'], $offers(...$pieces), '4 × 16 and 2 × 44 cm beside one another');
        self::assertSame([], $offers());
    }

    public function testWhatIsPromisedOrOfTheWrongStructureIsNotOffered(): void
    {
        $cloths = [$this->cloth('Lawn', '0.50', '1.50'), $this->cloth('Poplin', '0.90', '1.50')];
        self::assertSame(['Lawn', 'Poplin'], $this->offered([], Structure::Woven));
        self::assertSame([], $this->offered([], Structure::Knit));
        self::assertSame(['Poplin'], $this->offered(['cut of Lawn' => Length::ofMetres('0.30')], null));
        $left = $this->offered(['cut of Poplin' => Length::ofMetres('0.50')], null);
        self::assertSame(['Poplin', 'Lawn'], $left, 'the smallest that is left first');
    }

    public function testTheRestOfTheRoleTakesLessByTheShareOfWhatComesFromElsewhere(): void
    {
        // front and back 1.0 m² of 1.2; the two cuffs 0.2: 2.40 m less a sixth
        $pieces = [$this->box('Front', 1000, 500), $this->box('Back', 1000, 500), $this->box('Cuff', 200, 500, 2)];
        [$cloth, $other] = [$this->cloth('Lawn', '3.00', '1.50'), $this->cloth('Poplin', '0.60', '1.12')];
        $claims = [
            new Claim('rest', Role::Main, $cloth, $cloth->cuts[0]),
            new Claim('cuffs', Role::Main, $other, $other->cuts[0], pieces: ['Cuff']),
        ];
        [$rest, $cuffs] = $this->check($pieces, $claims)->roles;
        self::assertSame([2000, NeedSource::ByArea], [$rest->amount()?->millimetres(), $rest->need->way ?? null]);
        self::assertSame([200, NeedSource::QuickLay], [$cuffs->amount()?->millimetres(), $cuffs->need->way ?? null]);
        // what lengthens the main pieces lengthens both
        $long = [new Alteration('longer', Length::ofMillimetres(50))];
        [$rest, $cuffs] = $this->check($pieces, $claims, $long)->roles;
        self::assertSame(250, $cuffs->amount()?->millimetres());
        self::assertEqualsWithDelta(2041.7, $rest->amount()?->millimetres(), 0.1, '2.45 m less a sixth');
    }

    public function testAPieceThatIsNoneAnyMoreIsNamed(): void
    {
        $cloth = $this->cloth('Lawn', '3.00', '1.50');
        $role = $this->check([$this->box('Front', 1000, 500)], [
            new Claim('claim', Role::Main, $cloth, $cloth->cuts[0], pieces: ['Front', 'Hood']),
        ])->roles[0];
        self::assertSame(Verdict::NotKnown, $role->verdict);
        self::assertInstanceOf(Unknown::class, $role->need);
        self::assertSame(Missing::Pieces, $role->need->missing);
        self::assertSame('Hood cannot be found among the pieces in size 14.', (string) $role->need->settle);
    }

    public function testALayOfSomePiecesCountsForThemAlone(): void
    {
        $pieces = [$this->box('Front', 1000, 500), $this->box('Back', 1000, 500), $this->box('Cuff', 200, 500, 2)];
        [$cloth, $other] = [$this->cloth('Lawn', '3.00', '1.50'), $this->cloth('Poplin', '0.60', '1.12')];
        $claims = static fn (?SavedLay $lay, string ...$names): array => [
            new Claim('rest', Role::Main, $cloth, $cloth->cuts[0]),
            new Claim('some', Role::Main, $other, $other->cuts[0], lay: $lay, pieces: array_values($names)),
        ];
        $lay = $this->lay($this->project($pieces, $claims(null, 'Cuff')), $claims(null, 'Cuff')[1], $other);
        $role = $this->check($pieces, $claims($lay, 'Cuff'))->roles[1];
        self::assertSame([200, NeedSource::LaidOut], [$role->amount()?->millimetres(), $role->need->way ?? null]);
        $answer = $this->check($pieces, $claims($lay, 'Back'));
        self::assertSame(NeedSource::QuickLay, $answer->roles[1]->need->way ?? null);
        self::assertStringContainsString(
            'does not count any more: other pieces come from this cloth now',
            implode(' ', array_map(static fn ($snag): string => (string) $snag->sentence, $answer->snags)),
        );
    }

    public function testPiecesGoFromClothToClothAndBack(): void
    {
        $cloths = array_map(fn (string $name): Cloth => $this->cloth($name, '1.00', '1.50'), ['Lawn', 'Poplin', 'Twill']);
        $own = array_map(static fn (Cloth $cloth): Claim => new Claim($cloth->name, Role::Main, $cloth, $cloth->cuts[0]), $cloths);
        $pieces = [
            'Front' => $this->box('Front', 1000, 500),
            'Cuff' => $this->box('Cuff', 200, 500),
            'Bag' => new Piece('Bag', Role::Pocketing, shapes: $this->box('Bag', 200, 200)->shapes),
        ];
        $handed = new PieceAssigner($pieces);
        $claims = $handed->assign([$own[0]], ['Cuff'], new Claim('', Role::Main, $cloths[1], $cloths[1]->cuts[0]));
        self::assertSame(['Lawn: main ', 'Poplin: main Cuff'], $this->said($claims));
        $claims = $handed->assign($claims, ['Front', 'Nothing'], new Claim('', Role::Main, $cloths[1], $cloths[1]->cuts[0]));
        self::assertSame(['Lawn: main ', 'Poplin: main Cuff+Front'], $this->said($claims), 'a second one from the same cut joins it');
        $claims = $handed->assign($claims, ['Bag'], $own[0]);
        self::assertSame(
            ['Lawn: main ', 'Poplin: main Cuff+Front', 'Lawn: pocketing Bag'],
            $this->said($claims),
            'what is of another role has to be named',
        );
        $claims = $handed->assign($claims, ['Cuff', 'Front'], $own[0]);
        self::assertSame(['Lawn: main ', 'Lawn: pocketing Bag'], $this->said($claims), 'back on its own cloth it needs no name');
        self::assertSame($this->said($claims), $this->said($handed->assign($claims, ['Bag'], $claims[1])), 'where it is already');
        $cutOut = new Claim('b', Role::Main, $cloths[1], $cloths[1]->cuts[0], cutOut: true, pieces: ['Cuff']);
        self::assertSame(
            ['Poplin: main Cuff', 'Poplin: main Front'],
            $this->said($handed->assign([$cutOut], ['Front'], new Claim('', Role::Main, $cloths[1], $cloths[1]->cuts[0]))),
            'what is cut out already claims nothing any more',
        );
    }

    /**
     * @param list<Piece>      $pieces
     * @param list<Claim>      $claims
     * @param list<Alteration> $alterations
     */
    private function check(array $pieces, array $claims, array $alterations = []): ProjectAnswer
    {
        $project = $this->project($pieces, $claims, $alterations);

        return (new SeasonCheck(new Assumptions()))->check($project->season, [$project])->projects[0];
    }

    /**
     * @param list<Piece>      $pieces
     * @param list<Claim>      $claims
     * @param list<Alteration> $alterations
     */
    private function project(array $pieces, array $claims, array $alterations = []): Project
    {
        $row = new Requirement(Role::Main, Length::of('150', Unit::Centimetre), Nap::Without, ['14' => Length::ofMetres('2.40')]);
        $version = new Version('v', 'A', new RequirementTable(['14'], [$row]), pieces: PieceSet::of($pieces, ['14']));

        return new Project(
            'p',
            'Patchwork',
            Plan::season(),
            1,
            current: new Option(
                '',
                new Pattern('pattern', 'Ferry blouse', makes: new PatternGarment(garment: Garment::Cushion), versions: [$version]),
                $version,
                '14',
                alterations: $alterations,
                claims: $claims,
            ),
        );
    }

    private function lay(Project $project, Claim $claim, Cloth $cloth): SavedLay
    {
        $version = $project->cutting($claim)->version ?? self::fail('It has a pattern.');
        $cut = $cloth->cuts[0];
        $setup = new LaySetup(
            [$this->sheet($cloth, $cut)],
            [new LaidGarment('cuffs', 'p', 'v', Role::Main, '14', $version->pieces->mark('14'), $claim->pieces)],
            [$version->pieces->in('14', Role::Main)],
        );
        $request = $setup->request([Fold::Flat]) ?? self::fail('There is something to lay.');
        $looks = 0;

        return $setup->saved('lay', 'Cuffs', (new LayMaker())->make($request, static function () use (&$looks): float {
            return ++$looks / 40;
        }), true, []);
    }

    private function sheet(Cloth $cloth, Cut $cut): LaidSheet
    {
        $mark = LaidSheet::markOf($cloth, $cut, false);

        return new LaidSheet($cloth, $cut, Length::ofMetres('1.06'), Length::ofMetres('0.60'), Length::zero(), $mark);
    }

    /** Washed and squared, so that all of it can be cut from but the selvages of 1 cm. */
    private function cloth(string $name, string $length, string $width): Cloth
    {
        $entry = static fn (LedgerKind $kind, string $metres): LedgerEntry => new LedgerEntry(
            new \DateTimeImmutable('2027-02-01'),
            $kind,
            Length::ofMetres($metres)->plus(Length::ofMillimetres(60)),
        );

        return new Cloth(
            'cloth '.$name,
            $name,
            Width::of(Length::ofMetres($width), Length::of('1', Unit::Centimetre)),
            cuts: [new Cut('cut of '.$name, [$entry(LedgerKind::Bought, $length), $entry(LedgerKind::Washed, $length)])],
        );
    }

    private function box(string $name, float $long, float $wide, int $quantity = 1): Piece
    {
        return new Piece($name, quantity: $quantity, shapes: [
            new Shape([], Outline::of([[0.0, 0.0], [$long, 0.0], [$long, $wide], [0.0, $wide]])),
        ]);
    }

    /**
     * @param array<string, Length> $promised
     *
     * @return list<string> of lawn and poplin, for a yoke
     */
    private function offered(array $promised, ?Structure $onlyFor): array
    {
        $cloths = [$this->cloth('Lawn', '0.50', '1.50'), $this->cloth('Poplin', '0.90', '1.50')];

        return array_map(
            static fn (ClothOffer $offer): string => $offer->cloth->name,
            (new Offers(new Assumptions()))->find([$this->box('Yoke', 300, 500)], '14', $cloths, $promised, $onlyFor),
        );
    }

    /**
     * @param list<Claim> $claims
     *
     * @return list<string>
     */
    private function said(array $claims): array
    {
        return array_map(
            static fn (Claim $claim): string => $claim->cloth?->name.': '.$claim->role->value.' '.implode('+', $claim->pieces),
            $claims,
        );
    }
}
