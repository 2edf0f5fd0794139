<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Sewing\NextAction;
use Octavum\Strip\Season\RoleRow;

/** What the head of a project's page answers: enough or not, where it stands, and what is to be done next. */
final readonly class ProjectHead
{
    /**
     * @param ProjectPart    $part   that is opened below
     * @param ?RoleRow       $role   the one with the gravest verdict; null once all is cut
     * @param list<PathMark> $path
     * @param list<Sentence> $doubts what speaks against its cloth
     */
    public function __construct(
        public ProjectPart $part,
        public ?RoleRow $role,
        public ?NextAction $next,
        public array $path,
        public array $doubts,
    ) {
    }
}
