<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;

/** What comes from one cloth where that is not just its role: some pieces come from other cloth, or from another pattern. */
final readonly class Pieced
{
    /**
     * @param Version                            $whole  with all its own pieces
     * @param array<string, array{Piece, ?Part}> $pieces that come from this cloth, by name, with the part they belong to
     * @param list<Part>                         $parts  of the garment
     * @param list<string>                       $only   the pieces the cloth is for, by name; none for the rest of its role
     */
    public function __construct(public Version $whole, public array $pieces, public array $parts, public array $only = [])
    {
    }
}
