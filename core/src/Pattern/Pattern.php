<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Feature;
use Octavum\Core\Piece\Garment;

final readonly class Pattern
{
    /**
     * @param list<Version>        $versions
     * @param list<KeptAlteration> $alterations
     */
    public function __construct(
        public string $id,
        public string $title,
        public PatternLabel $label = new PatternLabel(),
        public PatternGarment $makes = new PatternGarment(),
        public PatternKeeping $keeping = new PatternKeeping(),
        public SizeChart $chart = new SizeChart(),
        public array $versions = [],
        public array $alterations = [],
    ) {
    }

    /** What decides its size. */
    public function decides(bool $child): BodyPoint
    {
        return $this->chart->decides($this->makes->garment, $child, $this->isFullSkirt());
    }

    /** A skirt in which the hip is free: gathered, or full by its features or its name. */
    public function isFullSkirt(): bool
    {
        $isFull = static fn (Version $version): bool => \in_array(Feature::Full, $version->features, true);
        $names = implode(' ', [$this->title, ...array_column($this->versions, 'name')]);

        return Garment::Skirt === $this->makes->garment
            && (\in_array(Technique::Gathers, $this->makes->techniques, true)
                || ([] !== $this->versions && array_filter($this->versions, $isFull) === $this->versions)
                || 1 === preg_match('/\b(full|gathered|circle|circular|dirndl|tiered)\b/i', $names));
    }

    /** @return list<KeptAlteration> */
    public function alterationsFor(string $person): array
    {
        return array_values(
            array_filter($this->alterations, static fn (KeptAlteration $alteration): bool => $alteration->person === $person),
        );
    }

    /** What is lacking in every copy that holds a size; empty when one is whole. */
    public function missingFor(string $size): string
    {
        $missing = '';
        foreach ($this->keeping->editions as $edition) {
            if ([] === $edition->sizes || \in_array($size, $edition->sizes, true)) {
                if ('' === $edition->missing) {
                    return '';
                }
                $missing = $edition->missing;
            }
        }

        return $missing;
    }

    /** Whether a copy owned holds this size; a pattern without noted editions holds all of them. */
    public function holdsSize(string $size): bool
    {
        foreach ($this->keeping->editions as $edition) {
            if ([] === $edition->sizes || \in_array($size, $edition->sizes, true)) {
                return true;
            }
        }

        return [] === $this->keeping->editions;
    }
}
