<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\Warmth;
use Octavum\Core\Match\Making;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;
use Octavum\Input\Entry;

/** For whom, and what, a match is looked for. */
final readonly class Filter
{
    /**
     * @param string          $for     id of a person; empty for whoever is sewn for most
     * @param ?int            $minutes at most
     * @param list<Technique> $without
     * @param list<Feature>   $having  all of which the version is said to have
     */
    private function __construct(
        public string $for,
        public ?Garment $garment,
        public ?int $minutes,
        public array $without,
        public ?Warmth $days,
        public array $having,
    ) {
    }

    public static function of(Entry $entry): self
    {
        return new self(
            $entry->raw('for'),
            Garment::tryFrom($entry->raw('garment')),
            '' === $entry->raw('hours') ? null : $entry->minutes('hours', 500 * 60),
            without: self::all($entry, 'without', Technique::class),
            days: Warmth::tryFrom($entry->raw('days')),
            having: self::all($entry, 'having', Feature::class),
        );
    }

    public function lets(Making $making): bool
    {
        return (null === $this->garment || $this->garment === $making->pattern->makes->garment)
            && (null === $this->minutes || ($making->minutes() ?? 0) <= $this->minutes)
            && null === $making->asks->uses(...$this->without)
            && [] === array_filter($this->having, static fn (Feature $one): bool => null === $making->asks->has($one));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     *
     * @return list<T>
     */
    private static function all(Entry $entry, string $field, string $enum): array
    {
        $sent = $entry->typed[$field] ?? [];

        return array_values(array_filter(array_map(
            static fn (mixed $one): ?\BackedEnum => \is_string($one) ? $enum::tryFrom($one) : null,
            \is_array($sent) ? $sent : [],
        )));
    }
}
