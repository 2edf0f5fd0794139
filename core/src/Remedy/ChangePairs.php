<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

/** Which changes are enough together, the least seen of them; of what was tried alone. */
final readonly class ChangePairs
{
    /** Pairs that are tried, those of least harm first; and so many others with each change. */
    private const PAIRS = 12;
    private const PARTNERS = 3;

    /** Per cent of what is missing that two must save apart from one another to be tried together. */
    private const LIKELY = 80;

    public function __construct(private MakeEnough $make)
    {
    }

    /**
     * With which of the others it is enough, the least seen of them; where it saves anything alone, else by how much shorter.
     *
     * @param list<Tried> $tried
     */
    public function partner(Tried $one, array $tried): ?Change
    {
        $others = array_filter($tried, fn (Tried $other): bool => $other !== $one
            && !$other->closes
            && $this->mayCombine($one, $other));
        foreach (\array_slice($others, 0, self::PARTNERS) as $other) {
            if ($this->make->fits($one->change, $other->change)) {
                return $other->change;
            }
        }

        return 0 === $one->saves->micrometres ? null : $this->make->shorter($one->change);
    }

    /**
     * The least change that fits with something to spare: one alone, or the two together that are least seen.
     *
     * @param list<Tried> $tried
     *
     * @return list<Change> none when no two of them are enough
     */
    public function least(array $tried): array
    {
        if (!$this->make->free->isLessThan($this->make->plain())) {
            return [];
        }
        $options = [];
        foreach ($tried as $i => $one) {
            if ($one->closes) {
                $options[] = [2 * $one->change->harm, [$one->change]];
            }
            foreach (\array_slice($tried, $i + 1) as $other) {
                if ($this->mayCombine($one, $other)) {
                    $options[] = [$one->change->harm + $other->change->harm + 1, [$one->change, $other->change]];
                }
            }
        }
        usort($options, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach (\array_slice($options, 0, self::PAIRS) as [, $together]) {
            $together = $this->leastShorter($together);
            if ($this->make->fits(...$together)) {
                return $together;
            }
        }
        $best = $tried[0] ?? null;
        $shorter = null === $best ? null : $this->make->shorter($best->change);

        return null === $best || null === $shorter ? [] : [$best->change, $shorter];
    }

    /**
     * Two of which one shortens: by no more than the other leaves missing.
     *
     * @param non-empty-list<Change> $together
     *
     * @return non-empty-list<Change>
     */
    private function leastShorter(array $together): array
    {
        [$one, $other] = [$together[0], $together[1] ?? null];

        return 'shorter' === $other?->kind
            ? [$one, $this->make->shorter($one) ?? $other]
            : $together;
    }

    /** Two that are of the same pieces cannot both be done, and two that save far too little apart do not together. */
    private function mayCombine(Tried $a, Tried $b): bool
    {
        $gap = $this->make->plain()->minus($this->make->free)->micrometres;

        return !$a->change->excludes($b->change)
            && ($a->saves->micrometres + $b->saves->micrometres) * 100 >= $gap * self::LIKELY;
    }
}
