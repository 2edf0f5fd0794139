<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Sewing\PathStop;

/** One stop of a project's path as it is drawn. */
final readonly class PathMark
{
    /**
     * @param bool   $isNext the needle stands at it
     * @param string $label  "always", "wide" where only a wide page has room for its name, "never"
     * @param string $part   of the project's page that it opens
     */
    public function __construct(public PathStop $stop, public bool $isNext, public string $label, public string $part)
    {
    }
}
