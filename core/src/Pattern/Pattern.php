<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Cloth\Structure;

final readonly class Pattern
{
    public SizeChart $chart;

    /**
     * @param list<string>  $otherNumbers reissues of the same pattern
     * @param ?Structure    $onlyFor      null when woven and knit both do
     * @param ?int          $minutes      to sew it, null when nobody has said
     * @param list<Edition> $editions
     * @param list<Version> $versions
     * @param list<string>  $files        names under which its instructions, drawings and the like are kept
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
    ) {
        $this->chart = $chart ?? new SizeChart();
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
