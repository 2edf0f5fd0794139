<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Lists;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;

/** A project on a list. */
final readonly class ListRow
{
    /** @param ?Sentence $breach how it breaks the list's rule; null when it does not */
    public function __construct(public Project $project, public bool $withoutCloth, public ?Sentence $breach)
    {
    }
}
