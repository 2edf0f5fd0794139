<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** What a line of a working does with its figure; the value is the sign printed before it. */
enum Operation: string
{
    case Start = '';
    case Less = '−';
    case Plus = '+';
    case Result = '=';
}
