<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** What has been done to the paper. */
enum PaperState: string
{
    case Uncut = 'uncut';
    case CutToSize = 'cut to a size';
    case Traced = 'traced in a size';
    case NotPrinted = 'PDF not printed';
    case Printed = 'printed';
    case Taped = 'taped';
    case Projector = 'projector';
}
