<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project\Log;

use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Season;

/** Projects with steps and times, as few words as the tests need. */
final class Sewn
{
    public static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable('2027-'.$day);
    }

    /**
     * Done, its sewing said to take an hour, with so many minutes spent on that.
     *
     * @param ?int $cover minutes of a further step of which no time was kept
     */
    public static function done(string $name, int $spent, ?int $cover = null, ProjectState $state = ProjectState::Done): Project
    {
        $steps = [new Step('sew', 'Sew', StepKind::Sew, 60)];
        $steps = null === $cover ? $steps : [...$steps, new Step('more', 'More', StepKind::Sew, $cover)];

        return self::project($name, $steps, [new TimeEntry(self::day('01-10'), $spent, 'sew')], $state);
    }

    /**
     * @param list<Step>      $steps
     * @param list<TimeEntry> $stretches
     */
    public static function project(
        string $name,
        array $steps = [],
        array $stretches = [],
        ProjectState $state = ProjectState::Planned,
        ?Pattern $pattern = null,
    ): Project {
        return new Project(
            $name,
            $name,
            new Season('thaw', 'Thaw', self::day('03-01'), 4, 420),
            1,
            log: new ProjectLog(state: $state, sewing: new Sewing($steps, $stretches)),
            current: new Option('', $pattern, $pattern->versions[0] ?? null, '14'),
        );
    }

    /** @param list<string> $notions */
    public static function pattern(Garment $garment, ?int $minutes, array $notions = [], Technique ...$techniques): Pattern
    {
        $version = new Version('v', 'A', new RequirementTable(['14'], []), $notions);

        return new Pattern(
            'p',
            'Pattern',
            makes: new PatternGarment(garment: $garment, minutes: $minutes, techniques: array_values($techniques)),
            versions: [$version],
        );
    }
}
