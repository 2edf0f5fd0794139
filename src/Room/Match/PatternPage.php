<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Match\Combined;
use Octavum\Core\Match\Making;
use Octavum\Core\Measure\Sentence;

/** What there is for a version, as match/pattern.html.twig shows it. */
final readonly class PatternPage
{
    /**
     * @param list<Combined>                          $together a cut for each role, the best sets
     * @param array<string, array<string, list<Row>>> $roles    the first of each group, by role and group
     * @param array<string, int>                      $more     how many cuts would do besides, by role
     * @param list<array{Sentence, int}>              $refused  why cuts of the stash will not do, and how many
     * @param list<Sentence>                          $toile    why one is advised
     * @param list<Row>                               $toiles   cloths it could be sewn from
     */
    public function __construct(
        public Making $making,
        public array $together,
        public array $roles,
        public array $more,
        public array $refused,
        public array $toile,
        public array $toiles,
    ) {
    }
}
