<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

/** Where a stop lies on the way of a project from planned to worn. */
enum PathStage: string
{
    case Planned = 'planned';
    case Enough = 'enough';
    case Washed = 'washed';
    case Toile = 'toile';
    case BeforeCutting = 'before cutting';
    case CutOut = 'cut out';
    case Step = 'step';
    case Worn = 'worn';
}
