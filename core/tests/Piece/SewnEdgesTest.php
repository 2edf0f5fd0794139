<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Piece;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Seam;
use Octavum\Core\Piece\SewnEdges;
use Octavum\Core\Piece\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SewnEdgesTest extends TestCase
{
    /**
     * @param list<Piece> $pieces
     * @param ?list<int>  $lengths mm
     */
    #[DataProvider('straight')]
    public function testMeasuresEdgesThatAreStraight(Seam $seam, array $pieces, ?array $lengths): void
    {
        $found = (new SewnEdges($pieces, '14'))->at($seam);
        self::assertSame($lengths, null === $found ? null : [(int) $found[0]->millimetres(), (int) $found[1]->millimetres()]);
    }

    /** @return iterable<string, array{Seam, list<Piece>, ?list<int>}> */
    public static function straight(): iterable
    {
        $front = self::piece(Draft::BodiceFront, ['half hem' => 240], onFold: true);
        $backs = self::piece(Draft::BodiceBack, ['half hem' => 250], quantity: 2);
        $legs = [
            self::piece(Draft::TrouserFront, ['waist' => 200], quantity: 2),
            self::piece(Draft::TrouserBack, ['waist' => 230], quantity: 2),
        ];
        yield 'bodice and gathers' => [
            Seam::Waist,
            [$front, $backs, self::piece(Draft::Gathered, ['gathered to' => 490], quantity: 2)],
            [980, 980],
        ];
        yield 'bodice and legs' => [Seam::Waist, [$front, $backs, ...$legs], [980, 860]];
        yield 'waistband and legs' => [Seam::Waist, [self::piece(Draft::Waistband, ['length' => 870], quantity: 2), ...$legs], [870, 860]];
        yield 'a half circle of radius 30, π · 30 = 94.2 round the waist' => [
            Seam::Waist,
            [$front, $backs, self::piece(Draft::Sector, ['waist radius' => 300, 'angle' => 180])],
            [980, 942],
        ];
        yield 'two sleeves and their cuffs, cut twice' => [
            Seam::SleeveHem,
            [self::piece(Draft::Sleeve, ['hem' => 260], quantity: 2), self::piece(Draft::Cuff, ['length' => 240], quantity: 4)],
            [260, 240],
        ];
        yield 'half a bodice is none' => [Seam::Waist, [$front, ...$legs], null];
        yield 'nothing to sew on' => [Seam::Waist, [$front, $backs], null];
        yield 'where the allowance is in the outline' => [
            Seam::SleeveHem,
            [self::piece(Draft::Sleeve, [], quantity: 2, allowance: null), self::piece(Draft::Cuff, [], quantity: 4)],
            null,
        ];
    }

    public function testMeasuresCurvesBetweenTheirChordAndTheirCorner(): void
    {
        $bodice = ['half neck' => 80, 'neck depth' => 100, 'shoulder' => 120, 'shoulder slope' => 40];
        $bodice += ['armhole depth' => 230, 'half chest' => 260];
        $pieces = [
            self::piece(Draft::BodiceFront, $bodice, onFold: true),
            self::piece(Draft::BodiceBack, ['neck depth' => 20] + $bodice, onFold: true),
            self::piece(Draft::Sleeve, ['cap height' => 130, 'upper arm' => 380], quantity: 2),
            self::piece(Draft::Collar, ['half length' => 205], onFold: true, quantity: 2),
        ];
        $edges = new SewnEdges($pieces, '14');
        [$neck, $collar] = $edges->at(Seam::Neckline) ?? self::fail('Both are drawn.');
        self::assertSame(410, $collar->millimetres());
        // half of it is at least √(80² + 100²) + √(80² + 20²) = 210.5, and at most the way round the corners, 280
        self::assertGreaterThan(421, $neck->millimetres());
        self::assertLessThan(560, $neck->millimetres());
        [$armhole, $cap] = $edges->at(Seam::Armhole) ?? self::fail('Both are drawn.');
        // of front and back each at least √(190² + 60²) = 199.2; the cap at least twice √(130² + 190²) = 460.4
        self::assertGreaterThan(398, $armhole->millimetres());
        self::assertLessThan(2 * (190 + 60 + 60), $armhole->millimetres());
        self::assertGreaterThan(460, $cap->millimetres());
        self::assertLessThan(380 + 2 * 130, $cap->millimetres());
    }

    public function testAStandIsSewnToTheNeckAndNotTheCollarOnIt(): void
    {
        $pieces = [
            self::piece(Draft::BodiceFront, [], quantity: 2),
            self::piece(Draft::Yoke, [], onFold: true, quantity: 2),
            self::piece(Draft::Collar, ['half length' => 205], onFold: true, quantity: 2),
            self::piece(Draft::Stand, ['half length' => 220], onFold: true, quantity: 2),
        ];
        $edges = new SewnEdges($pieces, '14');
        self::assertSame(440, ($edges->at(Seam::Neckline) ?? self::fail('A front and a yoke make a neckline.'))[1]->millimetres());
        self::assertNull($edges->at(Seam::Armhole), 'how much of it the yoke has is not known');
    }

    #[DataProvider('names')]
    public function testKnowsPartsByTheNamesOfPieces(PartKind $kind, string $piece): void
    {
        self::assertTrue($kind->isNamed($piece));
        foreach (PartKind::cases() as $other) {
            self::assertSame($other === $kind, $other->isNamed($piece), $other->value);
        }
    }

    /** @return iterable<string, array{PartKind, string}> */
    public static function names(): iterable
    {
        yield 'sleeve' => [PartKind::Sleeves, 'Sleeve'];
        yield 'upper sleeve' => [PartKind::Sleeves, 'Upper sleeve'];
        yield 'under collar' => [PartKind::Collar, 'Under collar'];
        yield 'stand' => [PartKind::Collar, 'Stand'];
        yield 'cuff' => [PartKind::Cuffs, 'Cuff'];
        yield 'back pocket' => [PartKind::Pockets, 'Back pocket'];
        yield 'sleeve pocket' => [PartKind::Pockets, 'Sleeve pocket'];
        yield 'front bodice' => [PartKind::Bodice, 'Front bodice'];
        yield 'yoke' => [PartKind::Bodice, 'Yoke'];
        yield 'skirt front' => [PartKind::Skirt, 'Skirt front'];
        yield 'waistband' => [PartKind::Waistband, 'WAISTBAND'];
        yield 'hood' => [PartKind::Hood, 'Hood, side'];
        yield 'front facing' => [PartKind::Facings, 'Front facing'];
        yield 'collar facing' => [PartKind::Facings, 'Collar facing'];
    }

    /** @param array<string, int> $measures */
    private static function piece(Draft $draft, array $measures, bool $onFold = false, int $quantity = 1, ?int $allowance = 15): Piece
    {
        $shape = Shape::drafted(Drafted::of($draft, $measures), [], null === $allowance ? null : Length::ofMillimetres($allowance));

        return new Piece($draft->value, quantity: $quantity, onFold: $onFold, shapes: [$shape]);
    }
}
