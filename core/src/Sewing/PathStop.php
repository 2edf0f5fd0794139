<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Snag\Severity;

/** One stop of a project's path, and what stands in the way of it. */
final readonly class PathStop
{
    /**
     * @param list<array{Severity, Sentence}> $pins what stands in the way, gravest first
     * @param string                          $name of the step; that of the stage elsewhere
     */
    public function __construct(public PathStage $stage, public bool $done, public array $pins = [], public string $name = '')
    {
    }

    /** How gravely it is stopped; null when nothing is in the way. */
    public function severity(): ?Severity
    {
        return $this->pins[0][0] ?? null;
    }
}
