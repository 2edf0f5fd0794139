<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\Grid;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\TestCase;

final class GridTest extends TestCase
{
    public function testAnEnvelopePastedFromASpreadsheetIsReadInOneGo(): void
    {
        $grid = Grid::ofPasted(
            "\twidth\tnap\t8\t10\t12\nmain\t45 in\twithout\t2 5/8\t2 3/4\t2⅞\n\t60\"\twith nap\t2 1/8\t2¼\t2-3/8\nLining\t45\t\t1\t1\t-\n",
        );
        self::assertSame(['8', '10', '12'], $grid->sizes);
        $faults = [];
        $table = $grid->table(System::Imperial, static function (string $place, Sentence $sentence) use (&$faults): void {
            $faults[$place] = (string) $sentence;
        });
        self::assertSame([], $faults);
        self::assertSame(
            [[Role::Main, Nap::Without], [Role::Main, Nap::With], [Role::Lining, Nap::Without]],
            array_map(static fn (Requirement $row): array => [$row->role, $row->nap], $table->rows),
        );
        self::assertSame(
            [45 * 25_400, 60 * 25_400, 45 * 25_400],
            array_map(static fn (Requirement $row): int => $row->width->micrometres, $table->rows),
        );
        self::assertSame(2_628_900, $table->rows[0]->cells['12']->micrometres, '2⅞ yd');
        self::assertSame(2_171_700, $table->rows[1]->cells['12']->micrometres, '2⅜ yd');
        self::assertArrayNotHasKey('12', $table->rows[2]->cells, 'a dash is no length');
    }

    public function testOfAPrintedRangeTheLargerIsTakenAndBothAreKept(): void
    {
        $grid = Grid::ofPasted("Sizes\tS\tM\nmain 140\t2.8–3\t3,2");
        $table = $grid->table(System::Metric, static fn (string $place, Sentence $fault) => self::fail($place));
        self::assertSame([3_000_000, 3_200_000], [$table->rows[0]->cells['S']->micrometres, $table->rows[0]->cells['M']->micrometres]);
        self::assertSame(['S' => '2.8–3'], $table->rows[0]->ranges);
        $again = Grid::of($table, static fn (Length $length, bool $small): string => (string) $length->millimetres());
        self::assertSame(['2.8–3', '3200'], $again->rows[0]['cells'], 'and shown as it was typed');
    }

    public function testALabelInOneCellIsTakenApart(): void
    {
        $grid = Grid::ofPasted("Sizes\tS\tM\nLining 140 cm without nap\t1,2\t1,3\ncontrast 2, 115\t0,5\t0,5");
        self::assertSame(
            [['lining', '140 cm', 'without'], ['contrast 2', '115', 'without']],
            array_map(static fn (array $row): array => [$row['role'], $row['width'], $row['nap']], $grid->rows),
        );
    }

    public function testRowsWithoutASizeLineKeepTheSizesTyped(): void
    {
        $grid = Grid::ofPasted("115 cm\t2.6\t2.7\n150 cm\t2.1\t2.2", ['14', '16']);
        self::assertSame(['14', '16'], $grid->sizes);
        self::assertSame(
            [['115 cm', ['2.6', '2.7']], ['150 cm', ['2.1', '2.2']]],
            array_map(static fn (array $row): array => [$row['width'], $row['cells']], $grid->rows),
        );
    }

    public function testACellThatIsNoLengthIsNamedAndTheOthersKept(): void
    {
        $grid = new Grid(
            ['14', '16'],
            [
                ['role' => 'main', 'width' => '115', 'nap' => 'either', 'cells' => ['lots', '2.7']],
                ['role' => 'sleeve', 'width' => '', 'nap' => '', 'cells' => ['1', '']],
                ['role' => 'main', 'width' => '', 'nap' => '', 'cells' => ['', '']],
            ],
        );
        $faults = [];
        $table = $grid->table(System::Metric, static function (string $place, Sentence $sentence) use (&$faults): void {
            $faults[$place] = (string) $sentence;
        });
        self::assertSame(['0.cells.0', '1.width', '1.role'], array_keys($faults));
        self::assertStringContainsString('“lots” cannot be read as a length', $faults['0.cells.0']);
        self::assertCount(1, $table->rows, 'one without a width is none');
        self::assertSame(2_700_000, $table->rows[0]->cells['16']->micrometres);
    }

    public function testTheSameSizeTwiceIsAFault(): void
    {
        $places = [];
        (new Grid(['14', '14'], []))->table(System::Metric, static function (string $place) use (&$places): void {
            $places[] = $place;
        });
        self::assertSame(['sizes'], $places);
    }

    public function testATableIsWrittenAndReadBackTheSame(): void
    {
        $table = new RequirementTable(
            ['8', '10'],
            [
                new Requirement(Role::Main, Length::ofMetres('1.15'), Nap::With, ['8' => Length::ofMetres('2.6')]),
                new Requirement(Role::Lining, Length::ofMetres('1.143'), Nap::Either, ['10' => Length::ofMetres('0.9144')]),
            ],
        );
        foreach (System::cases() as $system) {
            $grid = Grid::of($table, (new LengthFormatter($system))->typed(...));
            self::assertEquals(
                new RequirementTable($table->sizes, $table->rows, $system),
                $grid->table($system, static function (string $place): void {
                    self::fail($place);
                }),
            );
        }
    }
}
