<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;

/** A change, and what a lay with it alone takes. */
final readonly class Tried
{
    /**
     * @param Length  $saves   of what is laid without it; nothing where it helps only with another
     * @param ?Change $partner with which it is enough, where it is not alone
     */
    public function __construct(
        public Change $change,
        public Length $need,
        public Length $saves,
        public bool $closes,
        public ?Change $partner = null,
    ) {
    }

    public function with(?Change $partner): self
    {
        return new self($this->change, $this->need, $this->saves, $this->closes, $partner);
    }
}
