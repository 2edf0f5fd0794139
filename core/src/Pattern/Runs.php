<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** How a pattern comes out against its own chart, as its sewists find. */
enum Runs: string
{
    case True = 'true to its chart';
    case Large = 'large';
    case Small = 'small';
}
