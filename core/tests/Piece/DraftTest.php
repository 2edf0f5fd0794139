<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Piece;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DraftTest extends TestCase
{
    #[DataProvider('drafts')]
    public function testEveryShapeIsDrawnToItsMeasures(Draft $draft): void
    {
        $usual = Drafted::of($draft, []);
        $outline = $usual->outline;
        self::assertGreaterThan(0, $outline->area());
        if ($draft->onFold()) {
            self::assertEqualsWithDelta(2 * $outline->area(), $outline->unfolded()->area(), 1, 'opens at its fold');
            self::assertEqualsWithDelta(0, $outline->bottom, 0.01);
        }
        $measures = $usual->measures;
        if (isset($measures['length'])) {
            $longer = Drafted::of($draft, ['length' => $measures['length'] + 50] + $measures)->outline;
            self::assertGreaterThan($outline->area(), $longer->area());
        }
        self::assertSame(Draft::Box !== $draft, $usual->isUsual(), 'a box is measured, or it is not there');
        foreach ([[1.5, true], [3.0, false]] as [$more, $is]) {
            $first = array_key_first($measures);
            $other = Drafted::of($draft, [$first => $measures[$first] + $more] + $measures);
            self::assertSame($is && Draft::Box !== $draft, $other->isUsual());
        }
        self::assertGreaterThan(
            $outline->length(),
            Shape::drafted($usual, [], Length::ofMillimetres(15))->cutOut($draft->onFold())->length(),
        );
    }

    /** @return iterable<string, array{Draft}> */
    public static function drafts(): iterable
    {
        foreach (Draft::cases() as $draft) {
            yield $draft->value => [$draft];
        }
    }

    public function testSizesAreAsMeasured(): void
    {
        $size = static fn (Outline $outline): array => [round($outline->length()), round($outline->width())];
        self::assertSame([600.0, 360.0], $size(Drafted::of(Draft::Sleeve, [])->outline));
        self::assertSame([650.0, 684.0], $size(Drafted::of(Draft::Gathered, [])->outline));
        $quarter = Drafted::of(Draft::Sector, ['waist radius' => 100, 'length' => 400, 'angle' => 90])->outline;
        self::assertSame([500.0, 500.0], $size($quarter));
        self::assertEqualsWithDelta((\M_PI / 4) * (500 ** 2 - 100 ** 2), $quarter->area(), 800);
        self::assertSame(
            [1000.0, 500.0],
            $size(Drafted::of(Draft::Sector, ['waist radius' => 100, 'length' => 400, 'angle' => 180])->outline),
        );
    }

    public function testMeasuresThatCannotBeAreRefusedByName(): void
    {
        foreach ([['length' => 0], ['length' => 90000], ['half chest' => -5]] as $measures) {
            try {
                Drafted::of(Draft::BodiceFront, $measures);
                self::fail('refused');
            } catch (Unreadable $unreadable) {
                self::assertSame(ucfirst(array_key_first($measures)), $unreadable->sentence->with['measure'] ?? '');
            }
        }
        $this->expectException(Unreadable::class);
        Drafted::of(Draft::BodiceFront, ['length' => 100, 'armhole depth' => 400]);
    }

    public function testAPieceHasAShapeForItsSizes(): void
    {
        $small = Shape::drafted(Drafted::of(Draft::Box, []), ['8', '10']);
        $piece = new Piece('Yoke', shapes: [$small, Shape::drafted(Drafted::of(Draft::Box, []), ['12'])]);
        self::assertSame($small, $piece->in('10'));
        self::assertNull($piece->in('14'));
        self::assertNotNull((new Piece('Strap', shapes: [Shape::drafted(Drafted::of(Draft::Box, []))]))->in('14'));
    }
}
