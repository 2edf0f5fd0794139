<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Season\Reserve\Reservation;

/** What an option that does not lead might take of a cut: a dotted line above the cloth, in pixels. */
final readonly class PerhapsMark
{
    public function __construct(public float $x, public float $length, public Reservation $promise)
    {
    }
}
