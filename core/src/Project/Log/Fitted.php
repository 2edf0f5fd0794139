<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

enum Fitted: string
{
    case Well = 'fits well';
    case Nearly = 'nearly';
    case Badly = 'does not fit';
}
