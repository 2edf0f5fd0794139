<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Pattern\Part;
use Octavum\Core\Project\Claim;
use Octavum\Strip\PieceDrawing;

/** A piece of a project, drawn to one scale with the others, and the claim whose cloth it comes from. */
final readonly class PieceCloth
{
    /** @param ?Claim $claim null where none is planned for its role */
    public function __construct(public PieceDrawing $drawing, public ?Claim $claim, public ?Part $part)
    {
    }
}
