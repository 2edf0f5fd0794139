<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Length;

/** Cloth that is still to be bought. */
final readonly class Wish
{
    /**
     * @param ?int    $pricePerMetre in the smallest coin
     * @param ?Length $width         full, where it is known already
     */
    public function __construct(
        public string $name,
        public FibreMix $fibres,
        public Structure $structure = Structure::Woven,
        public bool $oneWay = false,
        public ?Length $repeat = null,
        public ?int $pricePerMetre = null,
        public ?Length $width = null,
    ) {
    }

    public function shrinkage(): Shrinkage
    {
        return Shrinkage::expected($this->fibres, $this->structure, null);
    }
}
