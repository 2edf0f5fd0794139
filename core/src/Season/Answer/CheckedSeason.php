<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Answer;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\Severity;
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

    /** @return list<Snag> gravest first, each once; all that wait for the wash are one */
    public function snags(): array
    {
        $all = array_map(static fn (ProjectAnswer $answer): array => $answer->snags, $this->projects);
        $snags = $this->washedTogether(array_merge(...$all));
        usort($snags, static fn (Snag $a, Snag $b): int => $a->severity->value <=> $b->severity->value);

        return $snags;
    }

    /**
     * @param list<Snag> $snags
     *
     * @return list<Snag>
     */
    private function washedTogether(array $snags): array
    {
        $unwashed = array_filter($snags, static fn (Snag $snag): bool => Action::MarkWashed === $snag->action);
        $cuts = array_unique(array_column($unwashed, 'subject'));
        if (\count($cuts) < 2) {
            return $snags;
        }
        $name = static fn (mixed $cloth): string => \is_string($cloth) ? $cloth : '';
        $names = array_unique(array_map(static fn (Snag $snag): string => $name($snag->sentence->with['cloth'] ?? ''), $unwashed));
        $sentence = new Sentence(
            '{count, plural, one {One cloth is} other {# cloths are}} not washed yet and counted shorter: {cloths}.',
            ['count' => \count($names), 'cloths' => implode(', ', $names)],
        );

        return [
            ...array_values(array_diff_key($snags, $unwashed)),
            new Snag(Severity::Note, $sentence, Action::MarkAllWashed, implode(' ', $cuts)),
        ];
    }
}
