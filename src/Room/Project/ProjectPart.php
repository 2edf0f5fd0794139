<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

/** The parts of a project's page. */
enum ProjectPart: string
{
    case Cloth = 'cloth';
    case Sewing = 'sewing';
    case Pattern = 'pattern';
    case Notes = 'notes';
}
