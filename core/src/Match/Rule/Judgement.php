<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

/** What speaks for and against sewing a version from a cloth; a list of reasons, not a bare mark. */
final readonly class Judgement
{
    /** So many guesses against a pair, one of them far off, outweigh that none of them is certain. A starting value of the house. */
    public const GUESSES = 2;

    /** Steps from which a guess is far off, and from which it counts for two. Starting values of the house. */
    public const FAR = 2;
    private const VERY_FAR = 3;

    public int $points;

    private bool $refused;

    private bool $clear;

    private bool $unlikely;

    /**
     * @param list<Reason> $reasons   in the order of the rules
     * @param bool         $isUnknown nothing is known of the cloth
     */
    public function __construct(public array $reasons, public bool $isOverruled = false, public bool $isUnknown = false)
    {
        $points = 0;
        $refused = false;
        $clear = true;
        $against = $far = 0;
        foreach ($reasons as $reason) {
            $points += $reason->points;
            $refused = $refused || Tenor::Refusal === $reason->tenor;
            $against += self::against($reason);
            $far += $reason->off >= self::FAR ? 1 : 0;
            $clear = $clear && (Tenor::Praise === $reason->tenor || Tenor::Fact === $reason->tenor);
        }
        [$this->points, $this->refused, $this->clear] = [$points, $refused, $clear];
        $this->unlikely = $against >= self::GUESSES && $far > 0;
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

    /** How many guesses against the pair it counts for. */
    public static function against(Reason $reason): int
    {
        if (null === $reason->guessedFrom || Tenor::Doubt !== $reason->tenor) {
            return 0;
        }

        return $reason->off >= self::VERY_FAR ? 2 : 1;
    }

    /** Nothing certain refuses it, and what its name tells speaks clearly against it. */
    public function isUnlikely(): bool
    {
        return $this->unlikely && !$this->refused;
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
