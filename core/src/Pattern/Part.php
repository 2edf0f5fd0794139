<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Piece\PartKind;

/** What a garment takes from another pattern than its own: sleeves of this one, the collar of that one. */
final readonly class Part
{
    /**
     * @param ?Pattern     $pattern null where it comes of none yet
     * @param ?string      $size    in which the other pattern is used; null when nobody has said
     * @param list<string> $pieces  of the other version, by name
     * @param list<string> $instead pieces of the garment's own version that are not cut then
     */
    public function __construct(
        public PartKind $kind,
        public ?Pattern $pattern = null,
        public ?Version $version = null,
        public ?string $size = null,
        public array $pieces = [],
        public array $instead = [],
    ) {
    }
}
