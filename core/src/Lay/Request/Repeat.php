<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

/** A print's repeat, and the point of a piece that must sit at the same place in it as that of every other. */
final readonly class Repeat
{
    /**
     * @param float                $length along the cloth, 0 for none
     * @param float                $width  across it, 0 for none
     * @param ?array{float, float} $at     one of the places on the cloth where it must sit, as where the middle of a figure lies;
     *                                     null for any, as long as it is the same in the repeat for all pieces
     * @param bool                 $alike  the print is the same turned by 180°: else no piece that is matched lies so
     */
    public function __construct(
        public float $length,
        public float $width,
        public float $x,
        public float $y,
        public ?array $at = null,
        public bool $alike = false,
    ) {
    }

    /** The place in the repeat is free: any, as long as it is common to all. */
    public function isFree(): bool
    {
        return null === $this->at;
    }

    /**
     * Where on an axis of the cloth a piece may begin so that its point sits where it must: there, or whole repeats from there.
     *
     * @param int $axis 0 along the cloth, 1 across it
     */
    public function from(int $axis): float
    {
        return ($this->at[$axis] ?? 0.0) - (0 === $axis ? $this->x : $this->y);
    }
}
