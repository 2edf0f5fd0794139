<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Remedy;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Remedy\Tried;
use Octavum\Core\Shape\Outline;
use PHPUnit\Framework\TestCase;

/**
 * A skirt of rectangles on 100 cm: two panels 90 × 60, which lie behind one another, and a waistband and a facing that stand
 * beside them or not at all.
 */
final class MakeEnoughTest extends TestCase
{
    public function testEachChangeSavesWhatALayWithItTakesLess(): void
    {
        // panels 2 × 90 cm, the facing 60 × 90 behind them: 2.40 m
        $make = $this->make([$this->panels(), $this->piece('Front facing', 600, 900, [Instead::Binding])], 2400, 2000);
        self::assertSame(2400, (int) $make->plain()->millimetres());
        $tried = $this->byKey($make);
        self::assertSame(600, (int) $tried['binding']->saves->millimetres());
        self::assertTrue($tried['binding']->closes);
        // 25 cm of each of the two panels: 1.90 m, which leaves the 10 cm that are wanted to spare
        self::assertArrayHasKey('shorter:25', $tried);
        self::assertSame(['binding'], $this->keys($make->least($make->tried())), 'nobody sees it');
    }

    public function testTicksAddUpAsTheyAreLaidTogether(): void
    {
        $pieces = [
            $this->panels(),
            $this->piece('Front facing', 600, 900, [Instead::Binding]),
            $this->piece('Pocket', 300, 950, [Instead::Omitted]),
        ];
        $make = $this->make($pieces, 2700, 1750);
        $tried = $this->byKey($make);
        self::assertSame(600, (int) $tried['binding']->saves->millimetres());
        self::assertSame(300, (int) $tried['left out']->saves->millimetres());
        $both = $make->amount(...$make->chosen(['binding', 'left out']));
        self::assertSame(1800, (int) $both?->millimetres());
        $least = $make->least($make->tried());
        self::assertSame(['binding', 'shorter:23'], $this->keys($least), 'two of them are not enough, but the hem closes it');
        self::assertSame(1640, (int) $make->amount(...$least)?->millimetres());
    }

    public function testNoChangeMakesItMore(): void
    {
        // the sewist’s own lay is shorter than one made in a moment could be
        $make = $this->make([$this->panels(), $this->piece('Front facing', 600, 900, [Instead::Binding])], 1700, 1600);
        self::assertSame(1700, (int) $make->plain()->millimetres());
        self::assertSame(1700, (int) $this->byKey($make)['binding']->need->millimetres());
        self::assertSame(0, $this->byKey($make)['binding']->saves->micrometres);
    }

    public function testAGenericBlockSavesInProportion(): void
    {
        $make = $this->make([$this->panels()], 3000, 2600, false);
        self::assertSame(3000, (int) $make->plain()->millimetres());
        // the block takes 1.80 m and, 15 cm shorter, 1.50 m: 3.00 × 150 / 180 = 2.50 m
        self::assertSame(2500, (int) $make->amount(...$make->chosen(['shorter:15']))?->millimetres());
        self::assertSame(['shorter:15'], $this->keys($make->least($make->tried())));
        self::assertArrayNotHasKey('sleeveless', $this->byKey($make));
    }

    /** Two panels of 60 cm lie beside one another on 100 cm once each is 17 % narrower: 49.8 cm. */
    public function testTheLeastNarrowingIsFound(): void
    {
        $make = $this->make([$this->piece('Skirt panel', 900, 600, quantity: 2)], 1800, 1100);
        $tried = $this->byKey($make);
        self::assertSame(900, (int) $tried['less full:17']->need->millimetres());
        self::assertSame(['less full:17'], $this->keys($make->least($make->tried())));
        self::assertSame([], $this->keys($make->chosen(['less full:0'])));
        $wide = $this->byKey($this->make([$this->piece('Skirt panel', 900, 800, quantity: 2)], 1800, 1100));
        self::assertSame(['shorter:40'], array_keys($wide), 'even a quarter less does not lie beside the other');
    }

    public function testWhatIsEnoughLaidOutWantsNoChange(): void
    {
        $make = $this->make([$this->panels()], 2600, 2000);
        self::assertTrue($make->isEnough());
        self::assertSame([], $make->least($make->tried()));
    }

    public function testNonsenseIsNotChosen(): void
    {
        self::assertSame([], $this->make([$this->panels()], 2600, 2000)->chosen(['', 'no such', 'shorter:-3', 'shorter:x']));
    }

    /** @param list<Piece> $pieces */
    private function make(array $pieces, int $need, int $free, bool $real = true): MakeEnough
    {
        return new MakeEnough(
            Laying::of($pieces, '14', Length::ofMillimetres(1000), false),
            Length::ofMillimetres($need),
            Length::ofMillimetres($free),
            $real,
            Length::ofMillimetres(100),
        );
    }

    private function panels(): Piece
    {
        return $this->piece('Front', 900, 600, quantity: 2);
    }

    /** @param list<Instead> $instead */
    private function piece(string $name, float $long, float $wide, array $instead = [], int $quantity = 1): Piece
    {
        $outline = Outline::rectangle($long, $wide);

        return new Piece($name, quantity: $quantity, instead: $instead, shapes: [new Shape([], $outline)]);
    }

    /** @return array<string, Tried> */
    private function byKey(MakeEnough $make): array
    {
        $tried = [];
        foreach ($make->tried() as $one) {
            $tried[$one->change->key] = $one;
        }

        return $tried;
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<string>
     */
    private function keys(array $changes): array
    {
        return array_map(static fn (Change $change): string => $change->key, $changes);
    }
}
