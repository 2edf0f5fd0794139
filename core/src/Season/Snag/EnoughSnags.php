<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\TooWide;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Reserve\Reservation;

/** Too little cloth, in length or in width; cloth promised more than once; what its need was warned of. */
final readonly class EnoughSnags
{
    /**
     * @param Length            $toCut    of the cut, before anybody has it
     * @param Length            $spare    negative when missing
     * @param list<Reservation> $promises all on the cut
     * @param list<Reservation> $ahead    those before this project
     *
     * @return list<Snag>
     */
    public function find(Project $project, Cloth $cloth, Length $toCut, Length $spare, array $promises, array $ahead): array
    {
        return $spare->isNegative()
            ? [$this->short($project, $cloth, $spare->negated(), $ahead)]
            : $this->promisedTwice($project, $cloth, $toCut, $promises, $ahead);
    }

    /**
     * Short by what is known, and enough when it is laid.
     *
     * @param list<Reservation> $ahead those who have the cut first
     *
     * @return list<Snag>
     */
    public function laid(Project $project, Claim $claim, Cloth $cloth, Length $missing, array $ahead): array
    {
        $with = [
            'project' => $project->name,
            'missing' => Figure::needed($missing),
            'cloth' => $cloth->name,
            'others' => $this->names($ahead),
        ];
        $sentence =
            [] === $ahead
                ? new Sentence('{project} is {missing} short on {cloth} by the envelope, and enough when it is laid.', $with)
                : new Sentence(
                    '{project} is {missing} short on {cloth} by the envelope, after {others}, and enough when it is laid.',
                    $with,
                );

        return [new Snag(Severity::Short, $sentence, Action::KeepLay, $project->id.' '.$claim->id)];
    }

    /** @return list<Snag> */
    public function tooWide(Project $project, ?TooWide $tooWide): array
    {
        return null === $tooWide
            ? []
            : [
                new Snag(
                    Severity::Short,
                    new Sentence('{project}: {why}', ['project' => $project->name, 'why' => $tooWide->sentence()]),
                    Action::MakeItEnough,
                    $project->id,
                ),
            ];
    }

    /** @return list<Snag> */
    public function warnings(Project $project, Cloth $cloth, Need $need): array
    {
        return array_map(
            static fn (Sentence $warning): Snag => new Snag(
                Severity::Tight,
                new Sentence('{project}: {warning}', ['project' => $project->name, 'warning' => $warning]),
                Action::ShowCloth,
                $cloth->id,
            ),
            $need->warnings,
        );
    }

    /** @param list<Reservation> $ahead */
    private function short(Project $project, Cloth $cloth, Length $missing, array $ahead): Snag
    {
        $with = ['project' => $project->name, 'missing' => Figure::needed($missing), 'cloth' => $cloth->name];
        if ([] === $ahead) {
            return new Snag(
                Severity::Short,
                new Sentence('{project} is {missing} short on {cloth}.', $with),
                Action::MakeItEnough,
                $project->id,
            );
        }

        return new Snag(
            Severity::Short,
            new Sentence(
                '{project} is {missing} short: {others} {count, plural, one {has} other {have}} {cloth} first.',
                $with + ['others' => $this->names($ahead), 'count' => \count($ahead)],
            ),
            Action::ShowCloth,
            $cloth->id,
        );
    }

    /**
     * @param list<Reservation> $promises
     * @param list<Reservation> $ahead
     *
     * @return list<Snag>
     */
    private function promisedTwice(Project $project, Cloth $cloth, Length $toCut, array $promises, array $ahead): array
    {
        $total = Reservation::total($promises);
        $behind = \array_slice($promises, \count($ahead) + 1);

        return [] === $behind || !$toCut->isLessThan($total)
            ? []
            : [
                new Snag(
                    Severity::Tight,
                    new Sentence('{cloth} is reserved more than once: {project} has it first, and {others} would be {missing} short.', [
                        'cloth' => $cloth->name,
                        'project' => $project->name,
                        'others' => $this->names($behind),
                        'missing' => Figure::needed($total->minus($toCut)),
                    ]),
                    Action::ShowCloth,
                    $cloth->id,
                ),
            ];
    }

    /** @param list<Reservation> $promises */
    private function names(array $promises): string
    {
        return implode(', ', array_unique(array_map(static fn (Reservation $promise): string => $promise->project->name, $promises)));
    }
}
