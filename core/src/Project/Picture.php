<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

/** A picture kept with a project, and what is noted beside it. */
final readonly class Picture
{
    /** How many a project keeps. */
    public const MOST = 20;

    /** @param string $file the id under which it is kept */
    public function __construct(public string $file, public string $note = '')
    {
    }
}
