<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

/** What a snag is about, by who would clear it where. */
enum Concern: string
{
    case Cloth = 'cloth';
    case Pattern = 'pattern';
    case Notions = 'notions';
    case Time = 'time';
    case Project = 'project';
}
