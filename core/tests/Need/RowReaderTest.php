<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Need;

use Octavum\Core\Match\Amounts;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** One-way cloth of 150 cm: a row with nap for 115 cm, and a wider one without for 150 cm, with its addition of 15 % or 25 cm. */
final class RowReaderTest extends TestCase
{
    /** With nap and without, cm; and what counts. */
    #[TestWith([210, 200, 210, 'the row with nap: 200 and 30 would be more'])]
    #[TestWith([240, 200, 230, 'the wider row and its addition'])]
    #[TestWith([230, 200, 230, 'both alike'])]
    #[TestWith([130, 110, 130, 'at least 25 cm are added: 110 and 25'])]
    public function testTheLesserOfBothCounts(int $with, int $without, int $needed, string $why): void
    {
        $wanted = $this->wanted($with, $without);
        $on = new CuttingCloth(Length::ofMillimetres(1500), true);
        $need = (new Estimator(new Assumptions()))->estimate($wanted, $on);
        self::assertInstanceOf(Need::class, $need);
        self::assertSame(10 * $needed, $need->amount->millimetres(), $why);
        self::assertSame(
            10 * $needed,
            (new Amounts([$wanted], new Assumptions()))->calculate($on, [0])[0]?->millimetres(),
            'and so in the match',
        );
    }

    public function testClothWithoutDirectionReadsTheWiderRowAsItIs(): void
    {
        $need = (new Estimator(new Assumptions()))->estimate($this->wanted(190, 200), new CuttingCloth(Length::ofMillimetres(1500)));
        self::assertInstanceOf(Need::class, $need);
        self::assertSame(2000, $need->amount->millimetres());
    }

    private function wanted(int $with, int $without): NeedRequest
    {
        $row = static fn (int $width, Nap $nap, int $length): Requirement => new Requirement(
            Role::Main,
            Length::ofMillimetres($width),
            $nap,
            ['14' => Length::ofMillimetres(10 * $length)],
        );
        $table = new RequirementTable(['14'], [$row(1150, Nap::With, $with), $row(1500, Nap::Without, $without)]);

        return new NeedRequest(new Version('v', 'A', $table), Garment::Skirt, Role::Main, '14');
    }
}
