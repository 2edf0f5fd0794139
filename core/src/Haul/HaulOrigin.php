<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

/** Where a line of a haul says the cloth came from and goes to. */
final readonly class HaulOrigin
{
    /**
     * @param string $place where it is kept
     * @param ?int   $price of a metre, in the smallest coin
     * @param ?bool  $more  whether more of it is to be had; null when not known
     */
    public function __construct(
        public string $place = '',
        public ?int $price = null,
        public ?bool $more = null,
        public string $from = '',
    ) {
    }

    /** Filled in by another, where this one says nothing of where it comes from and whether there is more. */
    public function or(?self $other): self
    {
        return new self($this->place, $this->price, $this->more ?? $other?->more, '' === $this->from ? $other->from ?? '' : $this->from);
    }
}
