<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

/** That one option of a project was taken in place of another, and why. */
final readonly class Decision
{
    /**
     * @param string $took    the option as it was called then
     * @param string $instead the one that led before
     * @param string $reason  in the sewist's words; empty when nothing was said
     */
    public function __construct(public \DateTimeImmutable $on, public string $took, public string $instead, public string $reason = '')
    {
    }
}
