<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Lists;

/** What the projects of a list keep to. */
enum ListRule: string
{
    case StashOnly = 'stash cloth only';
    case ForOthers = 'for others';
    case TheseMakers = 'these makers';
    case ThisPattern = 'this pattern';

    /** Whether it says nothing without a subject. */
    public function wantsSubject(): bool
    {
        return self::StashOnly !== $this;
    }
}
