<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\Verdict;

/**
 * Makes a short cloth enough: every change laid again alone, several laid together, so that they add up truly, and the least that
 * fits. Where the pieces are real, what is laid is enough, and the need as it is known stays where it is less, since no change
 * makes it more; where a generic block stands in for them, the need changes in the proportion in which the block's lay does.
 * Cost: a lay in a moment for each change.
 */
final class MakeEnough
{
    /** No garment is made shorter by more, cm, and none less full by more, per cent; so much is offered where even that is too little. */
    private const SHORTER = 40;
    private const LESS_FULL = 25;
    private const A_TENTH = 10;

    private readonly PieceRemedies $changes;

    /**
     * @param Length          $need      as it is known now
     * @param Length          $free      of the cut; where it is tight, what may be used of that
     * @param bool            $real      the pieces are the version's own, no generic block
     * @param Length          $fitting   the largest need that fits it, with something to spare
     * @param list<Elsewhere> $elsewhere more of the same cloth
     * @param ?NeedRequest    $wanted    what the sewist changes counts on each lay of real pieces; null where nothing is changed
     */
    public function __construct(
        public readonly ChangedLays $lays,
        public readonly Length $need,
        public readonly Length $free,
        public readonly bool $real,
        private readonly Length $fitting,
        private readonly array $elsewhere = [],
        private readonly ?NeedRequest $wanted = null,
    ) {
        $this->changes = new PieceRemedies($lays->laying, $real);
    }

    /**
     * @param ChangedLays     $lays      of the pieces of what is wanted, or of a block
     * @param bool            $real      they are its own
     * @param list<Elsewhere> $elsewhere more of the same cloth
     */
    public static function of(Shortfall $shortfall, ChangedLays $lays, bool $real, Assumptions $assumptions, array $elsewhere = []): self
    {
        $fitting = Verdict::largest($shortfall->free, $assumptions);
        $free = $shortfall->tight ? $fitting : $shortfall->free;

        return new self($lays, $shortfall->need, $free, real: $real, fitting: $fitting, elsewhere: $elsewhere, wanted: $shortfall->wanted);
    }

    /** What is needed with some changes together; null when it does not go on at all. */
    public function amount(Change ...$together): ?Length
    {
        $laid = $this->lays->with(...$together);
        $plain = $this->real ? null : $this->lays->unchanged();

        return match (true) {
            null === $laid, !$this->real && null === $plain => null,
            null === $plain => $this->altered($laid)->smaller($this->plain()),
            default => $this->need->scaled($laid->smaller($plain)->micrometres, max(1, $plain->micrometres), Rounding::Up),
        };
    }

    /** With nothing changed: laid out where the pieces are real, else as it is known. */
    public function plain(): Length
    {
        $laid = $this->real ? $this->lays->unchanged() : null;

        return null === $laid ? $this->need : $this->altered($laid)->smaller($this->need);
    }

    /** What a lay comes to with the alterations, which are not in its pieces. */
    public function altered(Length $laid): Length
    {
        return $this->wanted?->altered($laid) ?? $laid;
    }

    /**
     * What each does besides those before it, laid together one after the other.
     *
     * @return list<array{Sentence, Length}> in words, and what it saves
     */
    public function steps(Change ...$together): array
    {
        $at = $this->plain();
        $steps = [];
        foreach (array_values($together) as $i => $change) {
            $next = $this->amount(...\array_slice($together, 0, $i + 1)) ?? $at;
            $steps[] = [$change->words, $at->minus($next)->larger(Length::zero())];
            $at = $next;
        }

        return $steps;
    }

    /** The arithmetic of what is needed with some changes together, as far as it goes on. */
    public function working(Change ...$together): Working
    {
        [$label, $source] = $this->real
            ? [new Sentence('Laid flat, in one layer, head to tail where that may be; nothing changed'), Source::Lay]
            : [new Sentence('As it is known, with nothing changed'), Source::Assumed];
        $working = Working::empty()->start($label, $this->plain(), $source);
        foreach ($this->steps(...$together) as [$words, $saves]) {
            $working = $working->less($words, $saves, $source);
        }
        $need = $this->amount(...$together);

        return null === $need ? $working : $working
            ->result(new Sentence('Needed'), Figure::needed($need))
            ->given(
                new Sentence(
                    $this->free->equals($this->fitting) ? 'Of the cut, with something left over' : 'Usable, after what others have',
                ),
                Figure::owned($this->free),
                Source::Measured,
            );
    }

    /** Laid out with nothing changed it is. */
    public function isEnough(): bool
    {
        return $this->real && !$this->free->isLessThan($this->plain());
    }

    /**
     * Every change alone, those of least harm first; those with which nothing less is laid are left out.
     *
     * @param ?\Closure(): bool $isUp   when the rest is to wait; one at least is laid that was not before
     * @param bool              $paired each that is not enough alone says with which it is
     */
    public function tried(?\Closure $isUp = null, bool $paired = true): Attempts
    {
        $laid = \count($this->lays->all());
        $mayWait = fn (): bool => null !== $isUp && \count($this->lays->all()) > $laid && $isUp();
        $plain = $this->plain();
        $tried = $waiting = [];
        foreach ($this->candidates() as [$words, $make]) {
            if ($mayWait()) {
                $waiting[] = $words;
                continue;
            }
            $change = $make();
            $amount = null === $change ? null : $this->amount($change);
            if (null !== $change && null !== $amount && $this->savesAlone($change)) {
                $tried[] = new Tried($change, $amount, $plain->minus($amount), !$this->free->isLessThan($amount));
            }
        }
        // of what harms alike, the least that is enough comes first, then what saves most
        $order = static fn (Tried $one): array => [
            $one->change->harm,
            !$one->closes,
            $one->closes ? $one->saves->micrometres : -$one->saves->micrometres,
        ];
        usort($tried, static fn (Tried $a, Tried $b): int => $order($a) <=> $order($b));
        $pairs = [];
        foreach ($tried as $one) {
            $alone = !$paired || $one->closes || $this->isEnough();
            if ([] === $waiting && !$alone && $mayWait()) {
                $waiting = [new Sentence('What goes with what')];
            }
            $pairs[] = $alone || [] !== $waiting ? $one : $one->with((new ChangePairs($this))->partner($one, $tried));
        }

        return new Attempts($pairs, $waiting);
    }

    /** @return list<array{Sentence, \Closure(): ?Change}> what it is about, and how it is found */
    private function candidates(): array
    {
        $changes = array_map(
            static fn (Change $change): array => [$change->words, static fn (): Change => $change],
            $this->changes->all(),
        );
        $changes[] = [
            new Sentence('Less flare or fullness'),
            fn (): ?Change => $this->leastOf(self::LESS_FULL, $this->changes->reshaping->lessFull(...))
                ?? $this->changes->reshaping->lessFull(self::A_TENTH),
        ];
        array_splice($changes, -1, 0, [[new Sentence('Shorter'), fn (): ?Change => $this->shorter()]]);
        foreach ($this->real && !$this->isEnough() ? $this->elsewhere : [] as $other) {
            $changes[] = [
                new Sentence($other->isToBuy() ? 'Some pieces from a little more of it' : 'Some pieces from another cut of it'),
                fn (): ?Change => (new Parting($this, $this->lays))->change($other),
            ];
        }

        return $changes;
    }

    private function savesAlone(Change $change): bool
    {
        return ($this->lays->with($change)->micrometres ?? \PHP_INT_MAX) < ($this->lays->with()->micrometres ?? \PHP_INT_MAX);
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
        $known = array_column($this->changes->all(), null, 'key');
        $elsewhere = array_column($this->elsewhere, null, 'key');
        $chosen = [];
        foreach (array_unique($keys) as $key) {
            [$kind, $of, $names] = [...explode(':', $key, 3), '', ''];
            $chosen[] = $known[$key] ?? match (true) {
                'shorter' === $kind => $this->changes->reshaping->shorter(min(self::SHORTER, (int) $of)),
                'less full' === $kind => $this->changes->reshaping->lessFull(min(self::LESS_FULL, (int) $of)),
                Parting::KIND === $kind && isset($elsewhere[$of]) => (new Parting($this, $this->lays))->find($elsewhere[$of], $names),
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
        return $this->leastOf(self::SHORTER, $this->changes->reshaping->shorter(...), ...$with);
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

    public function fits(Change ...$together): bool
    {
        $amount = $this->amount(...$together);

        return null !== $amount && !$this->fitting->isLessThan($amount);
    }
}
