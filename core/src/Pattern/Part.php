<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Piece;

/** What a garment takes from another pattern than its own: sleeves of this one, the collar of that one. */
final readonly class Part
{
    /**
     * @param ?Pattern     $pattern null where it comes of none yet
     * @param ?string      $size    in which the other pattern is used; null when nobody has said
     * @param list<string> $pieces  of the other version, by name
     * @param list<string> $instead pieces of the garment's own version that are not cut then
     * @param ?Length      $stated  what it takes of the cloth, by the sewist's own figure
     */
    public function __construct(
        public PartKind $kind,
        public ?Pattern $pattern = null,
        public ?Version $version = null,
        public ?string $size = null,
        public array $pieces = [],
        public array $instead = [],
        public ?Length $stated = null,
    ) {
    }

    /** It replaces nothing of the garment's own, which has no such pieces. */
    public function isAdded(Version $own, string $size): bool
    {
        $has = array_filter($own->pieces->ofSize($size), fn (Piece $piece): bool => $this->kind->isNamed($piece->name));

        return [] === $this->instead && [] === $has;
    }
}
