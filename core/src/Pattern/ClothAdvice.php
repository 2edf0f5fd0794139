<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\WeightClass;

/** The cloth an envelope recommends, and its limits. */
final readonly class ClothAdvice
{
    /**
     * @param string $recommended by name, as printed
     * @param ?int   $stretch     per cent at least, across
     * @param string $notFor      "diagonals, plaids, nap"
     */
    public function __construct(
        public string $recommended = '',
        public ?int $stretch = null,
        public ?WeightClass $lightest = null,
        public ?WeightClass $heaviest = null,
        public ?Drape $crispest = null,
        public ?Drape $mostFluid = null,
        public string $notFor = '',
    ) {
    }

    public function isSaid(): bool
    {
        return [] !==
            array_filter(
                [$this->recommended, $this->stretch, $this->lightest, $this->heaviest, $this->crispest, $this->mostFluid, $this->notFor],
                static fn (mixed $value): bool => null !== $value && '' !== $value,
            );
    }
}
