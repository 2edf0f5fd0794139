<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

/** When a sewist sews a toile. */
enum ToileSchool: string
{
    case Always = 'always';
    case FirstTime = 'the first time';
    case Never = 'never';
}
