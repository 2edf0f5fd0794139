<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Gate;

/** How a check stands. */
enum GateState: string
{
    case Clear = 'clear';
    case Open = 'open';
    case Asked = 'asked';
    case Ticked = 'ticked';
    case Waived = 'waived';
}
