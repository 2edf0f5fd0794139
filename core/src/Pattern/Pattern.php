<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Piece\Garment;

final readonly class Pattern
{
    public SizeChart $chart;

    /**
     * @param list<string>         $otherNumbers reissues of the same pattern
     * @param ?Structure           $onlyFor      null when woven and knit both do
     * @param ?int                 $minutes      to sew it, null when nobody has said
     * @param list<Edition>        $editions
     * @param list<Version>        $versions
     * @param list<Technique>      $techniques
     * @param list<KeptAlteration> $alterations
     * @param list<string>         $files        names under which its instructions, drawings and the like are kept
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $maker = '',
        public string $number = '',
        public array $otherNumbers = [],
        public Garment $garment = Garment::Other,
        public PatternFormat $format = PatternFormat::Tissue,
        public Ownership $ownership = Ownership::Owned,
        public ?Structure $onlyFor = null,
        public ?int $minutes = null,
        public string $place = '',
        public string $notes = '',
        public array $editions = [],
        public array $versions = [],
        ?SizeChart $chart = null,
        public array $files = [],
        public ClothAdvice $advice = new ClothAdvice(),
        public array $techniques = [],
        public array $alterations = [],
    ) {
        $this->chart = $chart ?? new SizeChart();
    }

    /** What decides its size. */
    public function decides(bool $child): BodyPoint
    {
        return $this->chart->decides($this->garment, $child, $this->isFullSkirt());
    }

    /** A skirt in which the hip is free: gathered, or full by its features or its name. */
    public function isFullSkirt(): bool
    {
        $isFull = static fn (Version $version): bool => \in_array(Feature::Full, $version->features, true);
        $names = implode(' ', [$this->title, ...array_column($this->versions, 'name')]);

        return Garment::Skirt === $this->garment
            && (\in_array(Technique::Gathers, $this->techniques, true)
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
        foreach ($this->editions as $edition) {
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
        foreach ($this->editions as $edition) {
            if ([] === $edition->sizes || \in_array($size, $edition->sizes, true)) {
                return true;
            }
        }

        return [] === $this->editions;
    }
}
