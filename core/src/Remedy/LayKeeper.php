<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Status;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Piece\Piece;

/**
 * Makes the lay that keeps what makes a cloth enough. Pieces that come from elsewhere are left off it; what changes shapes is not in
 * it, and is kept as an alteration that saves as much as a lay with it takes less, so that the need afterwards is that of the
 * whole lay. What was promised is laid again as it was, which takes a fraction of a second; it is searched for longer only where that
 * comes out longer than promised.
 */
final readonly class LayKeeper
{
    /** Seconds of the searches that follow while the lay is longer than what was promised: a page waits for them. */
    private const SECONDS = [1.5, 3.0];

    /**
     * @param \Closure(list<Piece>, list<string>): LaySetup $setup  of pieces, with the names of those left off
     * @param \Closure(LayRequest): Lay                     $search for as long as the request says
     */
    public function __construct(private MakeEnough $make, private \Closure $setup, private \Closure $search)
    {
    }

    /** @param list<Change> $changes none for the lay alone */
    public function keep(array $changes): KeptLay
    {
        $off = array_merge(...array_map(static fn (Change $change): array => $change->off, $changes));
        $shaped = array_values(array_filter($changes, static fn (Change $change): bool => [] === $change->off));
        $promised = $this->make->amount(...$changes);
        $reaches = fn (Length $used): bool => null === $promised || !$promised->isLessThan($this->make->altered($used));
        $whole = $this->make->lays->laying;
        $left = $whole->without($off);
        $setup = ($this->setup)(array_values($whole->pieces), $off);
        $lay = $this->lay($setup, $left, [] === $shaped ? $reaches : null);
        $changed = array_reduce($shaped, static fn (Laying $all, Change $change): Laying => $change->apply($all), $left);
        $less = [] === $shaped ? $lay : $this->lay(($this->setup)(array_values($changed->pieces), []), $changed, $reaches);
        $request = $setup->request([$lay->fold]);

        return new KeptLay(
            $setup,
            $lay,
            null !== $request && Status::Placed === $lay->status && [] === (new Judge())->faults($request, $lay),
            self::used($lay)->minus(self::used($less))->larger(Length::zero()),
            Status::Placed === $less->status && !$this->make->free->isLessThan($this->make->altered(self::used($less))),
        );
    }

    private static function used(Lay $lay): Length
    {
        return Length::ofMillimetres(ceil($lay->used['s0'] ?? 0));
    }

    /** @param ?\Closure(Length): bool $reaches whether a length is what was promised; null where nothing was */
    private function lay(LaySetup $setup, Laying $laying, ?\Closure $reaches): Lay
    {
        $flat = $setup->request([Fold::Flat]) ?? throw new \LogicException('There are pieces to lay.');
        $promised = array_map(
            static fn (int $times): Lay => (new LayMaker(false))->make($flat, Block::clock($laying->looks($times))),
            [1, ChangedLays::TIMES],
        );
        $best = $promised[1]->used['s0'] < $promised[0]->used['s0'] ? $promised[1] : $promised[0];
        foreach (self::SECONDS as $seconds) {
            if (null === $reaches || ([] === $best->unplaced && $reaches(self::used($best)))) {
                break;
            }
            $lay = ($this->search)($setup->request([Fold::Flat, Fold::Lengthwise, Fold::Gate], $seconds) ?? $flat);
            $best = [] === $lay->unplaced && ([] !== $best->unplaced || $lay->used['s0'] < $best->used['s0']) ? $lay : $best;
        }

        return $best;
    }
}
