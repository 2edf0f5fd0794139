<?php

declare(strict_types=1);

namespace Octavum\Room\Workbook;

use Octavum\Core\Season\ProjectAnswer;
use Octavum\Strip\Seam;

/** A project and its seam. */
final readonly class BegunRow
{
    public function __construct(public ProjectAnswer $answer, public Seam $seam)
    {
    }
}
