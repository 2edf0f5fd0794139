<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\ProjectAnswer;

/**
 * What an experienced eye would say of the order of a season: begun things first, a new technique first where little is at
 * stake, no more than the sewist said. Nothing is moved by it.
 */
final readonly class Hints
{
    public function __construct(private Sewist $sewist)
    {
    }

    /** @return list<Sentence> */
    public function find(CheckedSeason $checked): array
    {
        if ($checked->season->undated) {
            return [];
        }
        $ranked = array_values(array_filter(
            $checked->projects,
            static fn (ProjectAnswer $answer): bool => $answer->project->log->state->takesHours(),
        ));

        return [...$this->most($checked->season, $ranked), ...$this->begun($ranked), ...$this->learning($ranked)];
    }

    /**
     * @param list<ProjectAnswer> $ranked
     *
     * @return list<Sentence>
     */
    private function most(Season $season, array $ranked): array
    {
        return null === $season->most || \count($ranked) <= $season->most ? [] : [
            new Sentence('{season} holds {most, plural, one {# garment} other {# garments}} at most, and {count} are planned.', [
                'season' => $season->name,
                'most' => $season->most,
                'count' => \count($ranked),
            ]),
        ];
    }

    /**
     * Only the cuffs and a hem is an evening.
     *
     * @param list<ProjectAnswer> $ranked
     *
     * @return list<Sentence>
     */
    private function begun(array $ranked): array
    {
        $hints = [];
        $new = false;
        foreach ($ranked as $answer) {
            $begun = $answer->project->log->state->isCut();
            if ($begun && $new) {
                $hints[] = new Sentence('{project} is begun: before anything new, it is the sooner finished.', [
                    'project' => $answer->project->name,
                ]);
            }
            $new = $new || !$begun;
        }

        return $hints;
    }

    /**
     * @param list<ProjectAnswer> $ranked
     *
     * @return list<Sentence>
     */
    private function learning(array $ranked): array
    {
        $hints = [];
        foreach ($this->sewist->learns as $technique) {
            $with = array_values(array_filter($ranked, static fn (ProjectAnswer $one): bool => self::asks($one, $technique)));
            $least = $with[0] ?? null;
            foreach ($with as $answer) {
                $least = null === $least || self::stakes($answer) < self::stakes($least) ? $answer : $least;
            }
            if (null !== $least && $least !== $with[0]) {
                $hints[] = new Sentence('{technique} is new to you: {first} before {then}, where less is at stake.', [
                    'technique' => new Sentence($technique->value),
                    'first' => $least->project->name,
                    'then' => $with[0]->project->name,
                ]);
            }
        }

        return $hints;
    }

    private static function asks(ProjectAnswer $answer, Technique $technique): bool
    {
        return \in_array($technique, $answer->project->current->pattern->makes->techniques ?? [], true);
    }

    /** @return array{bool, int} cloth of which there is no more, then the hours */
    private static function stakes(ProjectAnswer $answer): array
    {
        $claims = $answer->project->current->claims;
        $precious = array_filter($claims, static fn (Claim $claim): bool => false === $claim->cloth?->purchase->moreToBeHad);

        return [[] !== $precious, $answer->hours->all ?? 0];
    }
}
