<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Reserve;

use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** A project's claim on a cut with the length it comes to (nothing while that is not known). */
final readonly class Reservation
{
    public Length $amount;

    public function __construct(public Project $project, public Claim $claim, public Need|Unknown $need)
    {
        $this->amount = $need instanceof Need ? $need->amount : Length::zero();
    }

    /** @param list<self> $promises */
    public static function total(array $promises): Length
    {
        return array_reduce($promises, static fn (Length $sum, self $promise): Length => $sum->plus($promise->amount), Length::zero());
    }

    /**
     * What the promises leave of a length, down to nothing; null when the length is not known.
     *
     * @param list<self> $promises
     */
    public static function free(?Length $length, array $promises): ?Length
    {
        return $length?->minus(self::total($promises))->larger(Length::zero());
    }
}
