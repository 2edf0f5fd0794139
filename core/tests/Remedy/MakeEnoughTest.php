<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Remedy;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\WorkingLine;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\ChangedLays;
use Octavum\Core\Remedy\ChangePairs;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Remedy\Reshaping;
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
        self::assertSame(['binding'], $this->keys((new ChangePairs($make))->least($make->tried()->tried)), 'nobody sees it');
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
        $least = (new ChangePairs($make))->least($make->tried()->tried);
        self::assertSame(['binding', 'shorter:23'], $this->keys($least), 'two of them are not enough, but the hem closes it');
        self::assertSame(1640, (int) $make->amount(...$least)?->millimetres());
        self::assertSame('shorter:23', $tried['binding']->partner?->key);
        self::assertNull($tried['shorter:40']->partner ?? null, 'what closes it alone wants no other');
    }

    public function testAChangeThatIsNotEnoughAloneSaysWithWhich(): void
    {
        $pieces = [
            $this->panels(),
            $this->piece('Front facing', 600, 900, [Instead::Binding]),
            $this->piece('Patch', 300, 950, [Instead::Omitted]),
        ];
        // 2.70 m less 60 and 30 cm is 1.80 m, which leaves 10 cm of 1.90
        $tried = $this->byKey($this->make($pieces, 2700, 1900));
        self::assertSame('left out', $tried['binding']->partner?->key);
        self::assertSame('binding', $tried['left out']->partner?->key);
        $tried = $this->byKey($this->make($pieces, 2700, 1899));
        self::assertNotSame('left out', $tried['binding']->partner?->key, 'a millimetre less leaves too little');
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
        self::assertSame(['shorter:15'], $this->keys((new ChangePairs($make))->least($make->tried()->tried)));
        self::assertArrayNotHasKey('sleeveless', $this->byKey($make));
    }

    /** Two tiers of 60 cm lie beside one another on 100 cm once each is 17 % narrower: 49.8 cm. They are too short to be shortened. */
    public function testTheLeastNarrowingIsFound(): void
    {
        $make = $this->make([$this->piece('Gathered tier', 390, 600, quantity: 2)], 780, 600);
        $tried = $this->byKey($make);
        self::assertSame(390, (int) $tried['less full:17']->need->millimetres());
        self::assertSame(['less full:17'], $this->keys((new ChangePairs($make))->least($make->tried()->tried)));
        self::assertSame([], $this->keys($make->chosen(['less full:0'])));
        $wide = $this->byKey($this->make([$this->piece('Gathered tier', 390, 800, quantity: 2)], 780, 600));
        self::assertSame([], array_keys($wide), 'even a quarter less does not lie beside the other');
    }

    public function testAWaistStaysAWaist(): void
    {
        $straight = $this->make([$this->piece('Skirt panel', 900, 600, quantity: 2)], 1800, 1100);
        self::assertSame([], $this->keys($straight->chosen(['less full:20'])), 'a straight skirt has no flare to lose');
        $flared = Outline::of([[0, 0], [900, 0], [900, 620], [0, 400]]);
        $piece = new Piece('Front skirt', quantity: 2, shapes: [new Shape([], $flared)]);
        $laying = Laying::of([$piece], '14', new LaySurface(Length::ofMillimetres(1000)));
        $change = (new Reshaping($laying))->lessFull(50) ?? self::fail('It is flared.');
        $drawn = $change->apply($laying)->pieces['Front skirt']->in('14')->drawn ?? self::fail('It has a shape.');
        $at = static fn (float $x): float => max(array_map(
            static fn (array $point): float => abs($point[0] - $x) < 0.01 ? $point[1] : 0,
            $drawn->points,
        ));
        self::assertEqualsWithDelta(400, $at(0), 0.01, 'the waist');
        self::assertEqualsWithDelta(400 + (200 * 220) / 900, $at(200), 0.01, 'the hip');
        self::assertEqualsWithDelta(($at(200) + 620) / 2, $at(900), 0.01, 'the hem has half of its flare below the hip');
    }

    /** Both would do: 3 cm are missing, and half the flare would save far more; the hem is what harms less. */
    public function testTheLeastIsTheSmallestAmountOfWhatHarmsLeast(): void
    {
        $piece = new Piece('Front skirt', quantity: 2, shapes: [new Shape([], Outline::of([[0, 0], [900, 0], [900, 620], [0, 400]]))]);
        $make = $this->make([$piece], 1800, 1760);
        $least = (new ChangePairs($make))->least($make->tried()->tried);
        self::assertSame('shorter', $least[0]->kind);
        $tried = array_column(array_column($make->tried()->tried, 'change'), 'kind');
        self::assertLessThan(array_search('less full', [...$tried, 'less full'], true), array_search('shorter', $tried, true));
    }

    public function testShorterSaysWhatIsLeft(): void
    {
        $change = $this->make([$this->panels()], 1800, 1100)->chosen(['shorter:30'])[0];
        self::assertSame('Shorter by 30 cm: 60 cm of Front are left', (string) $change->words);
        $laying = Laying::of([$this->panels()], '14', new LaySurface(Length::ofMillimetres(1000)));
        self::assertNull((new Reshaping($laying))->shorter(90), 'nothing would be left');
    }

    public function testWhatIsEnoughLaidOutWantsNoChange(): void
    {
        $make = $this->make([$this->panels()], 2600, 2000);
        self::assertTrue($make->isEnough());
        self::assertSame([], (new ChangePairs($make))->least($make->tried()->tried));
    }

    public function testNonsenseIsNotChosen(): void
    {
        self::assertSame([], $this->make([$this->panels()], 2600, 2000)->chosen(['', 'no such', 'shorter:-3', 'shorter:x']));
    }

    /** Halves of 51.5 cm do not lie beside one another on 100 cm; without the seam they are one piece of 2 × 50 cm. */
    public function testAStraightSeamInTheMiddleIsCutAsOneOnTheFold(): void
    {
        $half = new Shape([], Outline::rectangle(900, 515));
        $back = static fn (string $name): Piece => new Piece($name, quantity: 2, pair: true, shapes: [$half]);
        $tried = $this->byKey($this->make([$back('Skirt back')], 1800, 1000));
        self::assertSame(900, (int) $tried['fold:Skirt back']->need->millimetres());
        self::assertArrayNotHasKey('fold:Front', $this->byKey($this->make([$back('Front')], 1800, 1000)), 'a front may open there');
        $curved = new Shape([], Outline::of([[0, 0], [500, 60], [900, 0], [900, 515], [450, 480], [0, 515]]));
        $tried = $this->byKey($this->make([new Piece('Skirt back', quantity: 2, pair: true, shapes: [$curved])], 1800, 1000));
        self::assertArrayNotHasKey('fold:Skirt back', $tried, 'its seam is not straight');
    }

    public function testOneSizeSmallerTakesThePiecesOfThatSize(): void
    {
        $shapes = [new Shape(['12'], Outline::rectangle(800, 600)), new Shape(['14'], Outline::rectangle(900, 600))];
        $tried = $this->byKey($this->make([new Piece('Front', quantity: 2, shapes: $shapes)], 1800, 1700));
        self::assertSame(1600, (int) $tried['smaller']->need->millimetres());
        self::assertSame('One size smaller, 12, with allowances of 1 cm', (string) $tried['smaller']->change->words);
        $only = new Piece('Front', quantity: 2, shapes: [$shapes[1]]);
        self::assertArrayNotHasKey('smaller', $this->byKey($this->make([$only], 1800, 1700)), 'nobody has entered its pieces');
    }

    public function testSomePiecesComeFromAnotherCutOrFromALittleMore(): void
    {
        $pieces = [$this->panels(), $this->piece('Yoke', 500, 900), $this->piece('Hood', 300, 950)];
        $other = new Elsewhere('other', Length::ofMillimetres(1000), Length::ofMillimetres(520));
        $buy = new Elsewhere(Elsewhere::BUY, Length::ofMillimetres(1000), null);
        // 1.80 + 0.50 + 0.30 m on 2.15: the yoke is the least that leaves enough with 10 cm to spare
        $make = $this->make($pieces, 2600, 2200, elsewhere: [$other, $buy]);
        self::assertSame(2600, (int) $make->plain()->millimetres());
        $tried = $this->byKey($make);
        $key = 'elsewhere:other:Yoke';
        self::assertSame([2100, 500], [
            (int) $tried[$key]->need->millimetres(),
            (int) $tried[$key]->change->takes?->millimetres(),
        ]);
        self::assertStringStartsWith('{pieces} from another cut of it', $tried[$key]->change->words->message);
        self::assertSame(['Yoke'], $tried[$key]->change->off);
        self::assertSame(500, (int) $tried['elsewhere:buy:Yoke']->change->takes?->millimetres());
        self::assertSame([$key], $this->keys($make->chosen([$key, 'elsewhere:gone:Yoke', 'elsewhere:other:No such'])));
        $short = new Elsewhere('other', Length::ofMillimetres(1000), Length::ofMillimetres(499));
        $less = $this->byKey($this->make($pieces, 2600, 2200, elsewhere: [$short]));
        self::assertArrayNotHasKey($key, $less, 'a millimetre too short');
        self::assertFalse($less['elsewhere:other:Hood']->closes, 'the hood alone goes there, and helps with another');
    }

    public function testTwoAreNotDoneTogetherWhereOneTakesAllTheOtherIsAbout(): void
    {
        $sentence = new Sentence('x');
        $off = static fn (string ...$pieces): Change => new Change('off', $sentence, $sentence, 0, array_values($pieces));
        $shaped = static fn (string ...$pieces): Change => new Change(
            'shaped',
            $sentence,
            $sentence,
            0,
            array_values($pieces),
            static fn (Laying $all): Laying => $all,
        );
        self::assertTrue($off('Sleeve')->excludes($shaped('Sleeve')));
        self::assertTrue($shaped('Sleeve')->excludes($off('Sleeve', 'Cuff')));
        self::assertFalse($off('Sleeve')->excludes($shaped('Sleeve', 'Front')), 'the front is still made shorter');
        self::assertTrue($off('Sleeve', 'Cuff')->excludes($off('Cuff')));
        self::assertFalse($off('Sleeve')->excludes($off('Cuff')));
        self::assertFalse($shaped('Front')->excludes($shaped('Front')));
    }

    /** On a busy machine the time may be up before anything is laid. */
    public function testWhatIsNotLaidYetWaitsAndEachTimeOneMoreIsLaid(): void
    {
        $pieces = [$this->panels(), $this->piece('Front facing', 600, 900, [Instead::Binding]), $this->piece('Pocket', 300, 950)];
        $all = $this->byKey($this->make($pieces, 2700, 1750));
        $times = 0;
        $laid = [];
        do {
            $make = $this->make($pieces, 2700, 1750, laid: $laid);
            $attempts = $make->tried(static fn (): bool => true);
            self::assertTrue([] === $attempts->waiting || \count($make->lays->all()) > \count($laid));
            $laid = $make->lays->all();
        } while ([] !== $attempts->waiting && ++$times < 30);
        self::assertContains($times, range(1, 29));
        self::assertSame(array_keys($all), array_map(static fn (Tried $one): string => $one->change->key, $attempts->tried));
    }

    public function testTheWorkingOfAFigureEndsWithIt(): void
    {
        $make = $this->make([$this->panels(), $this->piece('Front facing', 600, 900, [Instead::Binding])], 2400, 2000);
        $lines = array_map(
            static fn (WorkingLine $line): array => [$line->operation->value, (string) $line->label],
            $make->working(...$make->chosen(['binding']))->lines,
        );
        self::assertSame(['−', 'Facings replaced by bias binding'], $lines[1]);
        self::assertSame(['=', 'Needed'], $lines[2]);
        self::assertCount(4, $lines);
    }

    /**
     * @param list<Piece>         $pieces
     * @param list<Elsewhere>     $elsewhere
     * @param array<string, ?int> $laid
     */
    private function make(array $pieces, int $need, int $free, bool $real = true, array $elsewhere = [], array $laid = []): MakeEnough
    {
        return new MakeEnough(
            new ChangedLays(Laying::of($pieces, '14', new LaySurface(Length::ofMillimetres(1000)), ['12', '14']), $laid),
            Length::ofMillimetres($need),
            Length::ofMillimetres($free),
            $real,
            Length::ofMillimetres($free - 100),
            $elsewhere,
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
        foreach ($make->tried()->tried as $one) {
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
