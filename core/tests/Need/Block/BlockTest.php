<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Need\Block;

use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BlockTest extends TestCase
{
    private const OF_ANY_SIZE = [
        Garment::Bra,
        Garment::Swimwear,
        Garment::Bib,
        Garment::Toy,
        Garment::Cushion,
        Garment::Quilt,
        Garment::Curtain,
        Garment::Other,
    ];

    #[DataProvider('garments')]
    public function testEveryGarmentHasABlockThatGoesOnAnOrdinaryCloth(Garment $garment): void
    {
        $need = $this->need($garment, [], 1380);
        self::assertNotNull($need);
        self::assertGreaterThan(150, $need);
        self::assertLessThan(5000, $need);
        self::assertGreaterThanOrEqual($need, $this->need($garment, [], 880) ?? \PHP_INT_MAX, 'narrower cloth wants no less');
    }

    /** @return iterable<string, array{Garment}> */
    public static function garments(): iterable
    {
        foreach (Garment::cases() as $garment) {
            if (!\in_array($garment, self::OF_ANY_SIZE, true)) {
                yield $garment->value => [$garment];
            }
        }
    }

    /**
     * Sizes are a child's years where they end at 6, or follow one another up to 16.
     *
     * @param list<string> $sizes
     */
    #[DataProvider('years')]
    public function testWhichSizesAreYears(array $sizes, string $size, bool $years): void
    {
        $table = new RequirementTable($sizes, []);
        $need = static fn (bool $child): ?int => (new Block())->need(
            Garment::Dress,
            $table,
            Role::Main,
            $size,
            new LaySurface(Length::ofMillimetres(1380)),
            $child,
        )?->micrometres;
        self::assertSame($years, $need(false) === $need(true));
    }

    /** @return iterable<string, array{list<string>, string, bool}> */
    public static function years(): iterable
    {
        yield 'up to six' => [['2', '4', '6'], '4', true];
        yield 'up to seven, by twos' => [['3', '5', '7'], '5', false];
        yield 'one after the other up to 16' => [['14', '15', '16'], '15', true];
        yield 'one after the other up to 17' => [['15', '16', '17'], '16', false];
        yield 'a woman’s' => [['8', '10', '12'], '10', false];
        yield 'years by name' => [['10 years', '12 years'], '10 years', true];
        yield 'months' => [['6 months', '12 months'], '6 months', true];
    }

    public function testWhatIsOfAnySizeIsNotGuessed(): void
    {
        foreach (self::OF_ANY_SIZE as $garment) {
            self::assertNull($this->need($garment, [], 1380), $garment->value);
        }
    }

    public function testACalibratedBlockComesToTheEnvelopesLengthAtItsWidth(): void
    {
        foreach ([Garment::Dress, Garment::Trousers, Garment::Coat, Garment::Shirt] as $garment) {
            $printed = 2200;
            $back = $this->need($garment, [1500 => $printed], 1480);
            self::assertNotNull($back);
            self::assertLessThanOrEqual($printed, $back, $garment->value);
            self::assertGreaterThan(0.8 * $printed, $back, $garment->value);
            self::assertGreaterThan($back, $this->need($garment, [1500 => $printed], 1100), $garment->value);
        }
    }

    public function testTheMiddleSizeIsTheUsualOneAndTheLargerTakeMore(): void
    {
        $sizes = ['8', '10', '12', '14', '16'];
        self::assertSame($this->coat([], ''), $this->coat($sizes, '12'));
        self::assertLessThan($this->coat($sizes, '12'), $this->coat($sizes, '8'));
        self::assertGreaterThan($this->coat($sizes, '12'), $this->coat($sizes, '16'));
    }

    /** @param list<string> $sizes */
    private function coat(array $sizes, string $size): float|int
    {
        $table = new RequirementTable($sizes, []);
        $need = (new Block())->need(Garment::Coat, $table, Role::Main, $size, new LaySurface(Length::ofMillimetres(1380)));

        return $need?->millimetres() ?? 0;
    }

    public function testItAlwaysComesToTheSameAndAChildsIsSmall(): void
    {
        self::assertSame($this->need(Garment::Dress, [], 1380), $this->need(Garment::Dress, [], 1380));
        self::assertLessThan(
            $this->need(Garment::Dress, [], 1380),
            (new Block())
                ->need(
                    Garment::Dress,
                    new RequirementTable(['2', '4', '6'], []),
                    Role::Main,
                    '4',
                    new LaySurface(Length::ofMillimetres(1380)),
                )
                ?->millimetres(),
        );
        self::assertSame([], (new Block())->pieces(Garment::Dress, null, Role::Lining, '14'));
        self::assertNull($this->need(Garment::Other, [], 1380));
        self::assertFalse((new Block())->isCalibrated(new RequirementTable(['14'], []), '14'));
    }

    /** @param list<string> $sizes */
    #[DataProvider('tables')]
    public function testSizesThatMayBeAWomansAreCountedAsHers(bool $small, array $sizes, string $size, bool $said = false): void
    {
        $need = (new Block())->need(
            Garment::Dress,
            new RequirementTable($sizes, []),
            Role::Main,
            $size,
            new LaySurface(Length::ofMillimetres(1380)),
            $said,
        );
        self::assertNotNull($need);
        self::assertSame($small, $need->millimetres() < 0.8 * (int) $this->need(Garment::Dress, [], 1380), (string) $need->millimetres());
    }

    /** @return iterable<string, array{0: bool, 1: list<string>, 2: string, 3?: bool}> */
    public static function tables(): iterable
    {
        yield 'a woman’s 4 to 12' => [false, ['4', '6', '8', '10', '12'], '8'];
        yield 'a woman’s 8 to 16' => [false, ['8', '10', '12', '14', '16'], '12'];
        yield 'the same, said to be a child’s' => [true, ['4', '6', '8', '10', '12'], '8', true];
        yield 'years, one after the other' => [true, ['3', '4', '5', '6', '7', '8'], '5'];
        yield 'years by name' => [true, ['4 y', '6 y', '8 y'], '6 y'];
        yield 'months' => [true, ['6 m', '12 m', '18 m'], '12 m'];
        yield 'letters' => [false, ['S', 'M', 'L'], 'M'];
    }

    /** @param array<int, int> $printed millimetres by full width */
    private function need(Garment $garment, array $printed, int $usable): ?int
    {
        $sizes = ['10', '12', '14', '16', '18'];
        $rows = array_map(
            static fn (int $width, int $length): Requirement => new Requirement(Role::Main, Length::ofMillimetres($width), Nap::Either, [
                '14' => Length::ofMillimetres($length),
            ]),
            array_keys($printed),
            $printed,
        );
        $need = (new Block())->need(
            $garment,
            new RequirementTable($sizes, $rows),
            Role::Main,
            '14',
            new LaySurface(Length::ofMillimetres($usable)),
        );

        return null === $need ? null : (int) $need->millimetres();
    }
}
