<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** Whether a pattern is owned, as what, and where it is kept. */
final readonly class PatternKeeping
{
    /**
     * @param list<Edition> $editions
     * @param list<string>  $files    names under which its instructions, drawings and the like are kept
     */
    public function __construct(
        public PatternFormat $format = PatternFormat::Tissue,
        public Ownership $ownership = Ownership::Owned,
        public array $editions = [],
        public string $place = '',
        public string $notes = '',
        public array $files = [],
    ) {
    }
}
