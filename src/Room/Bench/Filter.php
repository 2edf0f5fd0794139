<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Core\Match\Making;
use Octavum\Core\Match\Warmth;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;
use Octavum\Input\Entry;

/** For whom, and what, the bench is asked. */
final readonly class Filter
{
    /**
     * @param string          $for     id of a person; empty for whoever is sewn for most
     * @param ?int            $minutes at most
     * @param list<Technique> $without
     */
    private function __construct(
        public string $for,
        public ?Garment $garment,
        public ?int $minutes,
        public array $without,
        public ?Warmth $days,
    ) {
    }

    public static function of(Entry $entry): self
    {
        $without = $entry->typed['without'] ?? [];

        return new self(
            $entry->raw('for'),
            Garment::tryFrom($entry->raw('garment')),
            '' === $entry->raw('hours') ? null : $entry->minutes('hours', 500 * 60),
            array_values(array_filter(array_map(
                static fn (mixed $one): ?Technique => \is_string($one) ? Technique::tryFrom($one) : null,
                \is_array($without) ? $without : [],
            ))),
            Warmth::tryFrom($entry->raw('days')),
        );
    }

    public function lets(Making $making): bool
    {
        return (null === $this->garment || $this->garment === $making->pattern->garment)
            && (null === $this->minutes || ($making->minutes() ?? 0) <= $this->minutes)
            && null === $making->asks->uses(...$this->without);
    }

    public function isNarrow(): bool
    {
        return null !== ($this->garment ?? $this->minutes ?? $this->days) || [] !== $this->without;
    }
}
