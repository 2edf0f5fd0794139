<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Measure\Length;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** What would be changed for the best use of the stash: a project's main cloth. */
final readonly class ClothChange
{
    /**
     * @param Project $project as it would be made
     * @param Claim   $from    what its main cloth is now
     * @param ?string $option  that would lead; null for the one that does
     * @param Length  $need    of the new cut
     * @param ?Length $before  what it needs of the cut it has; null where that is not known
     */
    public function __construct(
        public Project $project,
        public Claim $from,
        public ?string $option,
        public Cloth $cloth,
        public Cut $cut,
        public Length $need,
        public Judgement $judgement,
        public ?Length $before = null,
    ) {
    }
}
