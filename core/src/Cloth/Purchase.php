<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** How a cloth came into the house, and whether it can be had again. */
final readonly class Purchase
{
    /**
     * @param ?int  $pricePerMetre in the smallest coin
     * @param ?bool $moreToBeHad   null when not known
     * @param ?bool $precious      as the sewist marks it; null while nobody has, and then by its price and fibres
     */
    public function __construct(
        public ?int $pricePerMetre = null,
        public ?bool $moreToBeHad = null,
        public Origin $origin = new Origin(),
        public ?bool $precious = null,
    ) {
    }
}
