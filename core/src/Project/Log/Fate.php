<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** What became of a garment. */
enum Fate: string
{
    case Kept = 'kept';
    case Altered = 'altered';
    case PassedOn = 'passed on';
    case TakenApart = 'taken apart';
}
