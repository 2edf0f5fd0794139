<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Length;

/** A project's claim on a cut with the length it comes to, in rank order with the others on that cut. */
final readonly class Promise
{
    public function __construct(public Project $project, public Claim $claim, public Length $amount)
    {
    }

    /**
     * What the promises leave of a length, down to nothing; null when the length is not known.
     *
     * @param list<self> $promises
     */
    public static function free(?Length $length, array $promises): ?Length
    {
        foreach ($promises as $promise) {
            $length = $length?->minus($promise->amount);
        }

        return $length?->larger(Length::zero());
    }
}
