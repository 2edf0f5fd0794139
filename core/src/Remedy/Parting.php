<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;

/**
 * Parts the pieces between a cut and more of the same cloth, so that the two are joined at a seam: the least of them, by area, that
 * leave enough for the rest; where no three do, the largest that go there. Cost: two lays for each group that is tried.
 */
final readonly class Parting
{
    public const KIND = 'elsewhere';

    /** So many pieces are parted off at most, and so many groups of them tried, before the largest go one after the other. */
    private const TOGETHER = 3;
    private const TRIED = 16;

    /** Of a cut, the share that pieces can fill at best. */
    private const FILLED = 0.95;

    public function __construct(private MakeEnough $make, private ChangedLays $lays)
    {
    }

    /** @return ?Change null when nothing goes there, or all of it would have to */
    public function change(Elsewhere $other): ?Change
    {
        foreach (\array_slice($this->groups(), 0, self::TRIED) as $names) {
            $change = $this->from($other, $names);
            if (null !== $change && $this->make->fits($change)) {
                return $change;
            }
        }

        return $this->several($other);
    }

    /** @return list<non-empty-list<string>> up to three pieces that leave no more than there is room for, by area, the smallest first */
    private function groups(): array
    {
        $laying = $this->lays->laying;
        $areas = array_map(static fn (Piece $piece): float => $piece->area($laying->size), $laying->pieces);
        $groups = [[]];
        foreach (array_map(strval(...), array_keys($areas)) as $name) {
            foreach ($groups as $group) {
                if (\count($group) < self::TOGETHER) {
                    $groups[] = [...$group, $name];
                }
            }
        }
        $least = array_sum($areas) - self::FILLED * $this->make->free->millimetres() * $laying->surface->width->millimetres();
        $large = $sizes = [];
        foreach ($groups as $group) {
            $area = array_sum(array_map(static fn (string $name): float => $areas[$name], $group));
            if ([] !== $group && \count($group) < \count($areas) && $area >= $least) {
                $large[] = $group;
                $sizes[] = $area;
            }
        }
        array_multisort($sizes, $large);

        return $large;
    }

    /** @param string $names as in the key of a change */
    public function find(Elsewhere $other, string $names): ?Change
    {
        $known = array_values(array_intersect(explode('/', $names), array_map(strval(...), array_keys($this->lays->laying->pieces))));

        return [] === $known ? null : $this->from($other, $known);
    }

    /** The largest that go there, as many as it takes. */
    private function several(Elsewhere $other): ?Change
    {
        $laying = $this->lays->laying;
        $pieces = $laying->pieces;
        uasort($pieces, static fn (Piece $a, Piece $b): int => $b->area($laying->size) <=> $a->area($laying->size));
        $best = null;
        foreach (array_map(strval(...), array_keys($pieces)) as $name) {
            $there = [...$best->pieces ?? [], $name];
            $change = \count($there) < \count($pieces) ? $this->from($other, $there) : null;
            $best = $change ?? $best;
            if (null !== $change && $this->make->fits($change)) {
                break;
            }
        }

        return $best;
    }

    /** @param non-empty-list<string> $names */
    private function from(Elsewhere $other, array $names): ?Change
    {
        $takes = $this->lays->only($names, $other->usable);
        if (null === $takes || true === $other->free?->isLessThan($takes)) {
            return null;
        }
        $with = ['pieces' => implode(', ', $names), 'length' => Figure::needed($takes)];

        return new Change(
            self::KIND.':'.$other->key.':'.implode('/', $names),
            $other->isToBuy()
                ? new Sentence('{pieces} from {length} more of it, to be bought', $with)
                : new Sentence('{pieces} from another cut of it: {length} of that', $with),
            $other->isToBuy()
                ? new Sentence('if there is more to be had, and of one dye lot')
                : new Sentence('nobody sees it, and that cut is begun'),
            $other->isToBuy() ? 5 : 1,
            $names,
            from: $other,
            takes: $takes,
        );
    }
}
