<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** Whether a row of a requirement table is meant for one-way cloth. */
enum Nap: string
{
    case With = 'with';
    case Without = 'without';
    case Either = 'either';
}
