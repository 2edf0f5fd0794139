<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

enum Wear: string
{
    case Often = 'often';
    case Sometimes = 'sometimes';
    case Never = 'never';
}
