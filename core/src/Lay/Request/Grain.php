<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

/** How a piece's length lies to the cloth's. */
enum Grain: string
{
    case Along = 'along';
    case Across = 'across';
    case Either = 'either';
    case Bias = 'bias';

    /** Of a garment that is laid across the cloth: for a border along a selvage, or stripes that are to run the other way. */
    public function crossed(): self
    {
        return match ($this) {
            self::Along => self::Across,
            self::Across => self::Along,
            default => $this,
        };
    }

    public function isAcross(): bool
    {
        return self::Across === $this;
    }

    /**
     * @param bool $oneWay the top of every piece points the same way
     *
     * @return non-empty-list<int> degrees
     */
    public function turns(bool $oneWay): array
    {
        return match ($this) {
            self::Along => $oneWay ? [0] : [0, 180],
            self::Across => $oneWay ? [90] : [90, 270],
            self::Either => $oneWay ? [0, 90] : [0, 180, 90, 270],
            self::Bias => $oneWay ? [45, 315] : [45, 135, 225, 315],
        };
    }
}
