<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** How the choice of cloth turned out. */
enum Chosen: string
{
    case Right = 'the right cloth';
    case SoSo = 'it will do';
    case Wrong = 'the wrong cloth';
}
