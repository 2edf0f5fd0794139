<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Way;

/**
 * The best lay that was found so far for one way of laying.
 *
 * @internal
 */
final class Attempt
{
    /** @var list<Spot> */
    public array $spots = [];

    private readonly Cost $cost;

    /** @var list<Item> for which there is no room */
    public array $left;

    public function __construct(public readonly Way $way)
    {
        $this->left = $way->items;
        $this->cost = new Cost($way);
    }

    /**
     * Takes a lay that costs less.
     *
     * @param list<Spot> $spots
     * @param list<Item> $left
     */
    public function take(array $spots, array $left): void
    {
        if ($this->cost->calculate($spots, $left) < $this->cost() - 1e-6) {
            [$this->spots, $this->left] = [$spots, $left];
        }
    }

    /** Pushes all to the cut end together: where the place in the repeat is free, what is matched stays so. */
    public function pushToEnd(LayRequest $request): void
    {
        $isFree = [] !== array_filter($request->pieces, static fn (LayPiece $piece): bool => true === $piece->match?->isFree());
        $isHeld = [] !== array_filter($request->pieces, static fn (LayPiece $piece): bool => false === $piece->match?->isFree());
        $isIrregular = [] !== array_filter($request->sheets, static fn (Sheet $sheet): bool => $sheet->isIrregular());
        if (!$isFree || $isHeld || $isIrregular || [] !== $request->fixed || [] === $this->spots) {
            return;
        }
        $before = min(array_map(static fn (Spot $spot): float => $spot->x, $this->spots));
        $this->spots = array_map(static fn (Spot $spot): Spot => $spot->at($spot->x - $before, $spot->y), $this->spots);
    }

    /** Of what is matched along the cloth, mm: a lay as close that begins elsewhere in it may be so much longer. 0 for none. */
    public function repeat(): float
    {
        return max([0.0, ...array_map(static fn (Item $item): float => $item->variants[0]->match->length ?? 0.0, $this->way->items)]);
    }

    public function cost(): float
    {
        return $this->cost->calculate($this->spots, $this->left);
    }

    public function length(): float
    {
        return $this->cost->length($this->spots);
    }
}
