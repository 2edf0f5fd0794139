<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** Whether it would be made another time. */
enum Again: string
{
    case Yes = 'yes';
    case Changed = 'with changes';
    case No = 'no';
}
