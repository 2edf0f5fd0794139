<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Answer;

use Octavum\Core\Project\Season;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\Snag;

/** A season's open projects in rank order, checked against the cloth and the hours. */
final readonly class CheckedSeason
{
    /**
     * @param list<ProjectAnswer>                    $projects
     * @param int                                    $wished   minutes all of them would take
     * @param Lazy<array<string, list<Reservation>>> $perhaps  what options that do not lead might take, by cut
     */
    public function __construct(public Season $season, public array $projects, public int $wished, private Lazy $perhaps)
    {
    }

    /** @return array<string, list<Reservation>> what options that do not lead might take, by cut */
    public function perhaps(): array
    {
        return $this->perhaps->get();
    }

    /** @return list<Snag> gravest first, each once */
    public function snags(): array
    {
        $snags = array_merge(...array_map(static fn (ProjectAnswer $answer): array => $answer->snags, $this->projects));
        usort($snags, static fn (Snag $a, Snag $b): int => $a->severity->value <=> $b->severity->value);

        return $snags;
    }
}
