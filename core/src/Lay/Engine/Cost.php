<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Way;

/** What a lay costs: the length used over all cuts, each further cut counting far more than any length. */
final readonly class Cost
{
    private const CUT = 1e5;
    private const NO_ROOM = 1e7;

    public function __construct(private Way $way)
    {
    }

    /** @param list<Spot> $spots */
    public function length(array $spots): float
    {
        return array_sum($this->used($spots));
    }

    /**
     * @param list<Spot> $spots
     * @param list<Item> $left  for which there was no room
     */
    public function calculate(array $spots, array $left): float
    {
        $used = array_filter($this->used($spots), static fn (float $length): bool => $length > 0);

        return array_sum($used)
            + self::CUT * max(0, \count($used) - 1)
            + array_sum(array_map(static fn (Item $item): float => self::NO_ROOM + $item->area(), $left));
    }

    /**
     * The cost, with a little for where the other pieces end, so that a search can feel its way on a level.
     *
     * @param list<Spot> $spots
     * @param list<Item> $left
     */
    public function felt(array $spots, array $left): float
    {
        $ends = 0.0;
        foreach ($spots as $spot) {
            $ends += $spot->x + $spot->variant->length;
        }

        return $this->calculate($spots, $left) + (0.002 * $ends) / max(1, \count($spots));
    }

    /**
     * @param list<Spot> $spots
     *
     * @return array<string, float> by cut
     */
    public function used(array $spots): array
    {
        $ends = array_map(static fn (Lane $lane): float => $lane->taken, $this->way->lanes);
        foreach ($spots as $spot) {
            $ends[$spot->lane] = max($ends[$spot->lane], $spot->x + $spot->variant->length);
        }
        $used = [];
        foreach ($this->way->lanes as $i => $lane) {
            $used[$lane->sheet] =
                Fold::Part === $this->way->fold
                    ? ($used[$lane->sheet] ?? 0) + $ends[$i]
                    : max($used[$lane->sheet] ?? 0, $ends[$i] * $this->way->doubled);
        }

        return $used;
    }
}
