<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Piece\Garment;

/** What a list of patterns is filtered and sorted by, without building them. */
final readonly class PatternTitle
{
    /**
     * @param list<string>         $otherNumbers
     * @param array<string, mixed> $details      as stored
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $maker,
        public string $number,
        public array $otherNumbers,
        public Garment $garment,
        public string $place,
        public Ownership $ownership,
        public array $details,
    ) {
    }
}
