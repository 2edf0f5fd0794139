<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Project\Project;

/** A garment that was sewn, and what went into it. */
final readonly class Costed
{
    /** @param ?int $cost of its cloth, in the smallest coin; null when a price or a length is not known */
    public function __construct(public Project $project, public ?\DateTimeImmutable $done, public ?int $cost)
    {
    }
}
