<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\RoleAnswer;

/** A project whose cloth is short for a role, and what is laid to make it enough. */
final readonly class EnoughCase
{
    /** It is enough, and nothing to speak of is over. */
    public bool $tight;

    public function __construct(
        public Project $project,
        public RoleAnswer $role,
        public Cloth $cloth,
        public Cut $cut,
        public ToCut $toCut,
        public Length $free,
        public Version $version,
        public MakeEnough $make,
    ) {
        $this->tight = Verdict::Tight === $role->verdict;
    }

    /** @return list<Piece> its own, or those of a generic block */
    public function pieces(): array
    {
        return array_values($this->make->lays->laying->pieces);
    }
}
