<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Length;

/** Of the pieces of a role in a size, the one that wants the widest cloth, laid the way that wants least of it. */
final readonly class Widest
{
    public function __construct(public string $piece, public Length $across)
    {
    }
}
