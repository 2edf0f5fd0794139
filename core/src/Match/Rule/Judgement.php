<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

/** What speaks for and against sewing a version from a cloth; a list of reasons, not a bare mark. */
final readonly class Judgement
{
    public int $points;

    private bool $refused;

    private bool $clear;

    /** @param list<Reason> $reasons in the order of the rules */
    public function __construct(public array $reasons, public bool $isOverruled = false)
    {
        $points = 0;
        $refused = false;
        $clear = true;
        foreach ($reasons as $reason) {
            $points += $reason->points;
            $refused = $refused || Tenor::Refusal === $reason->tenor;
            $clear = $clear && (Tenor::Praise === $reason->tenor || Tenor::Fact === $reason->tenor);
        }
        [$this->points, $this->refused, $this->clear] = [$points, $refused, $clear];
    }

    /** @return list<Reason> */
    public function withTenor(Tenor ...$tenors): array
    {
        return array_values(array_filter($this->reasons, static fn (Reason $reason): bool => \in_array($reason->tenor, $tenors, true)));
    }

    public function isRefused(): bool
    {
        return $this->refused;
    }

    /** Nothing speaks against it and nothing is to be asked. */
    public function isClear(): bool
    {
        return $this->clear;
    }

    /** What spoke against the pair is still to be read and counts no more, and the sewist's own reason counts for it. */
    public function overruled(string $reason): self
    {
        $kept = array_map(
            static fn (Reason $one): Reason => Tenor::Refusal === $one->tenor || Tenor::Doubt === $one->tenor ? $one->asFact() : $one,
            $this->reasons,
        );

        return new self([Reason::praise(1, 'You said it will do: {reason}', ['reason' => $reason]), ...$kept], true);
    }
}
