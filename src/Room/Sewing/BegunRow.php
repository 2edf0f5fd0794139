<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Strip\StitchLine;

/** A project and its seam. */
final readonly class BegunRow
{
    public function __construct(public ProjectAnswer $answer, public StitchLine $seam)
    {
    }
}
