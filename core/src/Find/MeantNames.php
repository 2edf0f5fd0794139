<?php

declare(strict_types=1);

namespace Octavum\Core\Find;

/**
 * The names that a typed text may mean: the one typed in full, else those whose first part it is ("Navy twill" of "Navy twill, 2 m"),
 * else those that hold all its words, else those that nearly do. What nearly does is a guess: it is offered, never taken.
 */
final readonly class MeantNames
{
    /** @param list<string> $names the best first */
    private function __construct(public array $names, public bool $isGuess)
    {
    }

    /** @param list<string> $names to choose from */
    public static function find(string $typed, array $names): self
    {
        $plain = mb_strtolower(trim($typed));
        $lower = array_combine($names, array_map(mb_strtolower(...), $names));
        $words = preg_split('/[\s,]+/u', $plain, -1, \PREG_SPLIT_NO_EMPTY);
        $ways = [
            static fn (string $name): bool => $name === $plain,
            static fn (string $name): bool => str_starts_with($name, $plain.','),
            static fn (string $name): bool => [] ===
                array_filter(false === $words ? [] : $words, static fn (string $word): bool => !str_contains($name, $word)),
        ];
        foreach ('' === $plain ? [] : $ways as $isMeant) {
            $found = array_filter($lower, $isMeant);
            if ([] !== $found) {
                return new self(array_map(strval(...), array_keys($found)), isGuess: false);
            }
        }

        return new self((new Forgiving())->find($typed, array_combine($names, $names), 5), isGuess: true);
    }

    /** Null where none is meant for certain, or several are. */
    public function only(): ?string
    {
        return $this->isGuess || 1 !== \count($this->names) ? null : $this->names[0];
    }
}
