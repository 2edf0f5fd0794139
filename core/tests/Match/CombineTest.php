<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Match\Combine;
use Octavum\Core\Match\Combined;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Fit;
use Octavum\Core\Match\GoesWith;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CombineTest extends TestCase
{
    /**
     * @param list<string> $main  colours
     * @param list<string> $other
     */
    #[DataProvider('pairs')]
    public function testWhetherTwoClothsGoWithOneAnother(
        Tenor $tenor,
        int $points,
        array $main,
        array $other,
        PrintKind $print = PrintKind::Plain,
        PrintKind $otherPrint = PrintKind::Plain,
    ): void {
        $reason = (new GoesWith())->judge(
            new Cloth('a', 'Main', look: new ClothLook(print: $print, colours: $main)),
            new Cloth('b', 'Other', look: new ClothLook(print: $otherPrint, colours: $other)),
        );
        self::assertSame([$tenor, $points], [$reason->tenor, $reason->points], (string) $reason->sentence);
    }

    /** @return iterable<string, array{0: Tenor, 1: int, 2: list<string>, 3: list<string>, 4?: PrintKind, 5?: PrintKind}> */
    public static function pairs(): iterable
    {
        yield 'a solid holds a near colour of the print' => [Tenor::Praise, 2, ['#7a2f4a', '#f2e6c9'], ['#7d3350'], PrintKind::AllOver];
        yield 'grey goes with all' => [Tenor::Praise, 1, ['#7a2f4a'], ['#808482']];
        yield 'and all with grey' => [Tenor::Praise, 1, ['#808482'], ['#7a2f4a']];
        yield 'neither holds a colour of the other' => [Tenor::Doubt, -1, ['#7a2f4a'], ['#2e8b3d']];
        yield 'two busy prints, though near' => [Tenor::Doubt, -1, ['#7a2f4a'], ['#7d3350'], PrintKind::AllOver, PrintKind::Check];
        yield 'a stripe is not busy' => [Tenor::Praise, 2, ['#7a2f4a'], ['#7d3350'], PrintKind::AllOver, PrintKind::Stripe];
        yield 'colours nobody has said' => [Tenor::Question, 0, ['#7a2f4a'], []];
    }

    public function testTheBestSetsGoTogetherAndAreEnough(): void
    {
        $plum = $this->pick('plum', '#7a2f4a', 2.0, 1.5, 3);
        $green = $this->pick('green', '#2e8b3d', 2.0, 1.5, 4);
        $byRole = [
            'main' => [$plum],
            'contrast' => [$this->pick('green', '#2e8b3d', 1.0, 0.5, 4), $this->pick('berry', '#7d3350', 1.0, 0.5, 3)],
            'lining' => [$this->pick('scrap', '#808482', 0.4, 0.5, 9)],
        ];
        $sets = (new Combine())->combine($byRole);
        // 3 + 3 + 2 for the near colour against 3 + 4 − 1; the lining is short, so that it is in neither
        self::assertSame([['plum berry', 8], ['plum green', 6]], $this->say($sets));
        self::assertSame([], (new Combine())->combine(['main' => [$plum, $green]]), 'nothing to combine');
        self::assertSame([], (new Combine())->combine(['contrast' => [$plum], 'lining' => [$green]]), 'no main cloth');
    }

    public function testManyRolesDoNotGrowOverAllBounds(): void
    {
        $byRole = [];
        foreach (['main', 'contrast', 'contrast 2', 'contrast 3', 'lining', 'ribbing', 'pocketing'] as $role) {
            for ($i = 0; $i < 8; ++$i) {
                $byRole[$role][] = $this->pick($role.$i, '#7a2f4a', 2.0, 0.2, $i);
            }
        }
        $sets = (new Combine())->combine($byRole);
        self::assertSame('main7 contrast7 contrast 27 contrast 37 lining7 ribbing7 pocketing7', $this->say($sets)[0][0]);
    }

    public function testTwoRolesFromOneCutWantRoomForBoth(): void
    {
        $main = $this->pick('plum', '#7a2f4a', 2.0, 1.5, 3);
        $more = fn (float $need): array => (new Combine())->combine([
            'main' => [$main],
            'contrast' => [$this->pick('plum', '#7a2f4a', 2.0, $need, 3)],
        ]);
        self::assertSame([['plum plum', 6]], $this->say($more(0.5)));
        self::assertSame([], $more(0.501));
    }

    /**
     * @param list<Combined> $sets
     *
     * @return list<array{string, int}>
     */
    private function say(array $sets): array
    {
        return array_map(static fn (Combined $set): array => [
            implode(' ', array_map(static fn (Proposal $pick): string => $pick->cloth->name ?? '', $set->picks)),
            $set->points,
        ], $sets);
    }

    private function pick(string $name, string $colour, float $free, float $need, int $points): Proposal
    {
        $version = new Version('v', 'A', new RequirementTable([], []));
        $making = Making::of(new Pattern('p', 'P', versions: [$version]), $version, null, new Sewist());
        [$free, $need] = [Length::ofMillimetres(1000 * $free), Length::ofMillimetres(1000 * $need)];
        $spare = $free->minus($need);
        $known = new Need($need, NeedSource::OwnWidth, Working::empty(...));
        $fit = new Fit($spare->isNegative() ? Verdict::Short : Verdict::Fits, $known, $spare);
        $cut = new Cut('cut of '.$name, []);
        $cloth = new Cloth($name, $name, look: new ClothLook(colours: [$colour]), cuts: [$cut]);

        return new Proposal($making, new Judgement([Reason::praise($points, 'x')]), $fit, cloth: $cloth, cut: $cut, free: $free);
    }
}
