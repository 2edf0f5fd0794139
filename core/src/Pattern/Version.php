<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Body\Feature;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\PieceSet;

/** A view of a pattern with its own lengths, notions and hours. */
final readonly class Version
{
    public PieceSet $pieces;

    /**
     * @param list<string>  $notions  as the envelope lists them
     * @param ?int          $minutes  to sew it; null for the pattern's own
     * @param list<Feature> $features it has; empty when nobody has said
     */
    public function __construct(
        public string $id,
        public string $name,
        public RequirementTable $table,
        public array $notions = [],
        public ?int $minutes = null,
        public string $notes = '',
        ?PieceSet $pieces = null,
        public array $features = [],
    ) {
        $this->pieces = $pieces ?? PieceSet::none();
    }

    /** Says of a size that is not in its table which are; null of one that is. */
    public function lacks(string $size): ?Sentence
    {
        return $this->table->hasSize($size)
            ? null
            : new Sentence('Size {size} is not in the table of version {version}: it has {sizes}.', [
                'size' => $size,
                'version' => $this->name,
                'sizes' => implode(', ', $this->table->sizes),
            ]);
    }
}
