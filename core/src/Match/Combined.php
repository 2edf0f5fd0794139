<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Match\Rule\Reason;

/** A cut for each role of a version, taken together. */
final readonly class Combined
{
    public int $points;

    /**
     * @param non-empty-array<string, Proposal> $picks    by role; roles for which there is nothing are not among them
     * @param list<Reason>                      $together how the cloths go with one another
     */
    public function __construct(public array $picks, public array $together)
    {
        $points = 0;
        foreach ([...array_values($picks), ...$together] as $one) {
            $points += $one->points;
        }
        $this->points = $points;
    }
}
