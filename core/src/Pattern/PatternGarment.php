<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Cloth\Structure;
use Octavum\Core\Piece\Garment;

/** What a pattern makes, and what that asks for. */
final readonly class PatternGarment
{
    /**
     * @param ?Structure      $onlyFor    null when woven and knit both do
     * @param ?int            $minutes    to sew it, null when nobody has said
     * @param list<Technique> $techniques
     */
    public function __construct(
        public Garment $garment = Garment::Other,
        public ?Structure $onlyFor = null,
        public ?int $minutes = null,
        public array $techniques = [],
        public ClothAdvice $advice = new ClothAdvice(),
    ) {
    }
}
