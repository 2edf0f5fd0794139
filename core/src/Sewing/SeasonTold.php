<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Project\Season;

/** A season's plan beside what became of it. */
final readonly class SeasonTold
{
    /**
     * @param int $planned garments
     * @param int $sewn    of them
     * @param int $minutes they would take, as far as anybody said
     * @param int $spent   minutes that were kept
     */
    public function __construct(
        public Season $season,
        public int $planned,
        public int $sewn,
        public int $minutes,
        public int $spent,
    ) {
    }
}
