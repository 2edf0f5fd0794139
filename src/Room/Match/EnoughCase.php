<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Project;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Season\Answer\RoleAnswer;

/** A project whose cloth is short for a role, and what is laid to make it enough. */
final readonly class EnoughCase
{
    /** It is enough, and nothing to speak of is over. */
    public bool $tight;

    public function __construct(
        public Project $project,
        public RoleAnswer $role,
        public Cloth $cloth,
        public Length $free,
        public MakeEnough $make,
    ) {
        $this->tight = Verdict::Tight === $role->verdict;
    }
}
