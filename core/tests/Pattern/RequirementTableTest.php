<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RequirementTableTest extends TestCase
{
    #[DataProvider('choices')]
    public function testTheRowReadForACloth(int $width, bool $oneWay, int $row, Nap $nap, bool $converted): void
    {
        $choice = $this->table()->choose(Role::Main, '14', Length::ofMillimetres($width), $oneWay, Length::ofMillimetres(30));
        self::assertNotNull($choice);
        self::assertSame([$row, $nap, $converted], [$choice->row->width->millimetres(), $choice->row->nap, $choice->isConverted()]);
    }

    /** @return iterable<string, array{int, bool, int, Nap, bool}> */
    public static function choices(): iterable
    {
        yield 'a wide cloth, either way' => [1500, false, 1500, Nap::Without, false];
        yield 'a wide one-way cloth' => [1500, true, 1500, Nap::With, false];
        yield 'just within the tolerance' => [1470, false, 1500, Nap::Without, false];
        yield 'just outside it' => [1469, false, 1150, Nap::Either, false];
        yield 'a narrow one-way cloth takes what there is' => [1150, true, 1150, Nap::Either, false];
        yield 'narrower than all' => [900, true, 1150, Nap::Either, true];
    }

    public function testTheNextWiderRowIsNamedForASecondOpinion(): void
    {
        $choose = fn (int $width) => $this->table()
            ->choose(Role::Main, '14', Length::ofMillimetres($width), false, Length::ofMillimetres(30))
            ?->wider?->width->millimetres();
        self::assertSame([1500, null], [$choose(1300), $choose(1600)]);
    }

    public function testARowWithoutTheSizeIsNotRead(): void
    {
        $choice = $this->table()->choose(Role::Main, '16', Length::ofMillimetres(1600), false, Length::ofMillimetres(30));
        self::assertSame(1150, $choice?->row->width->millimetres(), 'the wide rows stop at size 14');
        self::assertNull($this->table()->choose(Role::Trim, '14', Length::ofMillimetres(1600), false, Length::zero()));
        self::assertNull($this->table()->choose(Role::Main, '99', Length::ofMillimetres(1600), false, Length::zero()));
    }

    public function testNoRowWiderThanTheClothIsEverReadAsItsOwn(): void
    {
        mt_srand(21);
        for ($i = 0; $i < 500; ++$i) {
            $rows = array_map(
                static fn (): Requirement => new Requirement(
                    Role::Main,
                    Length::ofMillimetres(mt_rand(600, 1700)),
                    Nap::cases()[mt_rand(0, 2)],
                    ['M' => Length::ofMillimetres(mt_rand(500, 4000))],
                ),
                range(1, mt_rand(1, 6)),
            );
            $width = Length::ofMillimetres(mt_rand(500, 1800));
            $choice = (new RequirementTable(['M'], $rows))->choose(Role::Main, 'M', $width, 0 === $i % 2, Length::ofMillimetres(30));
            self::assertNotNull($choice);
            $reached = array_filter($rows, static fn (Requirement $row): bool => $row->width->micrometres <= $width->micrometres + 30_000);
            self::assertSame([] === $reached, $choice->isConverted());
            $expected =
                [] === $reached
                    ? min(array_map(static fn (Requirement $row): int => $row->width->micrometres, $rows))
                    : max(array_map(static fn (Requirement $row): int => $row->width->micrometres, $reached));
            self::assertSame($expected, $choice->row->width->micrometres);
        }
    }

    public function testTheLargestOfTwoSizesIsTheLaterColumn(): void
    {
        $table = $this->table();
        self::assertSame(
            ['16', '16', '14', '14'],
            [$table->largest('14', '16'), $table->largest('16', '14'), $table->largest('14', null), $table->largest('14', '99')],
        );
        self::assertSame([Role::Main, Role::Lining], $table->roles());
        self::assertTrue($table->hasSize('14'));
        self::assertFalse($table->hasSize('1'));
    }

    public function testAPatternHoldsTheSizesOfItsCopies(): void
    {
        $half = new Pattern(
            'p',
            'Coat',
            keeping: new PatternKeeping(editions: [new Edition('small', ['8', '10']), new Edition('large', ['14'])]),
        );
        self::assertSame([true, true, false], [$half->holdsSize('8'), $half->holdsSize('14'), $half->holdsSize('12')]);
        self::assertTrue((new Pattern('p', 'Coat'))->holdsSize('12'), 'nothing said: all of them');
        self::assertTrue((new Pattern('p', 'Coat', keeping: new PatternKeeping(editions: [new Edition('all', [])])))->holdsSize('12'));
    }

    private function table(): RequirementTable
    {
        $length = Length::ofMetres('2');

        return new RequirementTable(
            ['14', '16'],
            [
                new Requirement(Role::Main, Length::ofMetres('1.5'), Nap::Without, ['14' => $length]),
                new Requirement(Role::Main, Length::ofMetres('1.5'), Nap::With, ['14' => $length]),
                new Requirement(Role::Main, Length::ofMetres('1.15'), Nap::Either, ['14' => $length, '16' => $length]),
                new Requirement(Role::Lining, Length::ofMetres('1.4'), Nap::Either, ['14' => $length]),
            ],
        );
    }
}
