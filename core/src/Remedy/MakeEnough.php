<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;

/**
 * Makes a short cloth enough: every change laid again alone, several laid together, so that they add up truly, and the least that
 * fits. Where the pieces are real, what is laid is enough, and the need as it is known stays where it is less, since no change
 * makes it more; where a generic block stands in for them, the need changes in the proportion in which the block's lay does.
 * Cost: a lay in a moment for each change.
 */
final class MakeEnough
{
    /** With nothing changed it is laid for longer, since the answer may be that nothing need be; and where that is kept. */
    private const TIMES = 4;
    private const LONGER = ' longer';

    /** Pairs that are tried, those of least harm first. */
    private const PAIRS = 12;

    /** Per cent of what is missing that two must save apart from one another to be tried together. */
    private const LIKELY = 80;

    /** No garment is made shorter by more, cm, and none less full by more, per cent; so much is offered where even that is too little. */
    private const SHORTER = 40;
    private const LESS_FULL = 25;
    private const A_TENTH = 10;

    private readonly Changes $changes;

    /**
     * @param Length              $need   as it is known now
     * @param Length              $free   of the cut
     * @param Length              $margin of it that is wanted to spare
     * @param bool                $real   the pieces are the version's own, no generic block
     * @param array<string, ?int> $laid   as laid() gave it before, for the same pieces on the same width
     */
    public function __construct(
        private readonly Laying $laying,
        public readonly Length $need,
        public readonly Length $free,
        public readonly bool $real,
        private readonly Length $margin,
        private readonly Block $block = new Block(),
        private array $laid = [],
    ) {
        $this->changes = new Changes();
    }

    /** What is needed with some changes together; null when it does not go on at all. */
    public function amount(Change ...$together): ?Length
    {
        $laid = $this->lay($together);
        $plain = $this->real ? null : $this->lay([]);

        return match (true) {
            null === $laid, !$this->real && null === $plain => null,
            null === $plain => Length::ofMicrometres($laid)->smaller($this->plain()),
            default => Length::ofMicrometres((int) ceil($this->need->micrometres * $laid / max(1, $plain))),
        };
    }

    /** With nothing changed: laid out where the pieces are real, else as it is known. */
    public function plain(): Length
    {
        if (!$this->real) {
            return $this->need;
        }
        $this->laid[self::LONGER] ??= $this->laying->length($this->block, self::TIMES)?->micrometres;
        $laid = $this->laid[self::LONGER];

        return null === $laid ? $this->need : Length::ofMicrometres($laid)->smaller($this->need);
    }

    /** @return array<string, ?int> what was laid so far, in micrometres by the keys of the changes */
    public function laid(): array
    {
        return $this->laid;
    }

    /** Laid out with nothing changed it is. */
    public function isEnough(): bool
    {
        return $this->real && !$this->free->isLessThan($this->plain());
    }

    /** @return list<Tried> every change alone, those of least harm first; those with which nothing less is laid are left out */
    public function tried(): array
    {
        $plain = $this->plain();
        $changes = $this->changes->of($this->laying, $this->real);
        $lessFull = $this->leastOf(self::LESS_FULL, $this->lessFull(...)) ?? $this->lessFull(self::A_TENTH);
        $tried = [];
        foreach (array_filter([...$changes, $lessFull, $this->shorter()]) as $change) {
            $amount = $this->amount($change);
            if (null !== $amount && $this->lay([$change]) < ($this->lay([]) ?? \PHP_INT_MAX)) {
                $tried[] = new Tried($change, $amount, $plain->minus($amount), !$this->free->isLessThan($amount));
            }
        }
        usort($tried, static fn (Tried $a, Tried $b): int => [$a->change->harm, $b->saves->micrometres] <=> [
            $b->change->harm,
            $a->saves->micrometres,
        ]);

        return $tried;
    }

    /**
     * The change of the given keys; a key that is none any more is left out.
     *
     * @param list<string> $keys
     *
     * @return list<Change>
     */
    public function chosen(array $keys): array
    {
        $known = [];
        foreach ($this->changes->of($this->laying, $this->real) as $change) {
            $known[$change->key] = $change;
        }
        $chosen = [];
        foreach (array_unique($keys) as $key) {
            [$kind, $by] = [...explode(':', $key, 2), ''];
            $chosen[] = $known[$key] ?? match ($kind) {
                'shorter' => $this->changes->shorter($this->laying, min(self::SHORTER, (int) $by)),
                'less full' => $this->lessFull(min(self::LESS_FULL, (int) $by)),
                default => null,
            };
        }

        return array_values(array_filter($chosen));
    }

    /**
     * The least by which it must be shorter to fit with something to spare, with what else is changed.
     *
     * @return ?Change null when even the most does not help
     */
    public function shorter(Change ...$with): ?Change
    {
        return $this->leastOf(self::SHORTER, fn (int $by): ?Change => $this->changes->shorter($this->laying, $by), ...$with);
    }

    private function lessFull(int $percent): ?Change
    {
        return $this->changes->lessFull($this->laying, $percent);
    }

    /** @param \Closure(int): ?Change $change by so much; more of it takes less */
    private function leastOf(int $most, \Closure $change, Change ...$with): ?Change
    {
        $fits = fn (int $by): bool => null !== ($one = $change($by)) && $this->fits($one, ...$with);
        if (!$fits($most)) {
            return null;
        }
        [$low, $high] = [0, $most];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $fits($middle) ? [$low, $middle] : [$middle, $high];
        }

        return $change($high);
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
        if (!$this->free->isLessThan($this->plain())) {
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
            if ($this->fits(...$together)) {
                return $together;
            }
        }
        $best = $tried[0] ?? null;
        $shorter = null === $best ? null : $this->shorter($best->change);

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

        return null !== $other && str_starts_with($other->key, 'shorter:')
            ? [$one, $this->shorter($one) ?? $other]
            : $together;
    }

    private function fits(Change ...$together): bool
    {
        $amount = $this->amount(...$together);

        return null !== $amount && !$this->free->isLessThan($amount->plus($this->margin));
    }

    /** Two that are of the same pieces cannot both be done, and two that save far too little apart do not together. */
    private function mayCombine(Tried $a, Tried $b): bool
    {
        $gap = $this->plain()->minus($this->free)->micrometres;

        return [] === array_intersect($a->change->off, $b->change->off)
            && !(str_contains($a->change->key, 'sleeve') && str_contains($b->change->key, 'sleeve'))
            && ($a->saves->micrometres + $b->saves->micrometres) * 100 >= $gap * self::LIKELY;
    }

    /** @param array<Change> $changes */
    private function lay(array $changes): ?int
    {
        $key = implode("\n", array_map(static fn (Change $change): string => $change->key, $changes));
        if (!\array_key_exists($key, $this->laid)) {
            $laying = array_reduce($changes, static fn (Laying $all, Change $change): Laying => $change->apply($all), $this->laying);
            $this->laid[$key] = $laying->length($this->block)?->micrometres;
        }

        return $this->laid[$key];
    }
}
