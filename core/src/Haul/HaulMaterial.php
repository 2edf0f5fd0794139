<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Length;

/** What a line of a haul says of the cloth itself. */
final readonly class HaulMaterial
{
    public function __construct(
        public ?Length $width,
        public FibreMix $fibres,
        public ?Structure $structure = null,
        public ?ClothType $type = null,
        public ?Weight $weight = null,
        public Feel $feel = new Feel(),
        public ?CareLabel $care = null,
    ) {
    }

    /** Filled in by another, where this one says nothing. */
    public function or(?self $other): self
    {
        return null === $other ? $this : new self(
            $this->width ?? $other->width,
            $this->fibres->isKnown() ? $this->fibres : $other->fibres,
            null === $this->type ? $other->structure : $this->structure,
            $this->type ?? $other->type,
            $this->weight ?? $other->weight,
            new Feel(
                $this->feel->across ?? $other->feel->across,
                null,
                $this->feel->drape ?? $other->feel->drape,
                $this->feel->opacity ?? $other->feel->opacity,
            ),
            $this->care ?? $other->care,
        );
    }
}
