<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Core\Measure\Length;
use Octavum\Core\Season\CheckedSeason;
use Octavum\Core\Season\ProjectAnswer;
use Octavum\Core\Season\Promise;
use Octavum\Core\Season\RoleAnswer;
use Octavum\Core\Workroom\Settings;
use Octavum\Strip\Scale;
use Octavum\Strip\StripBuilder;

/** A checked season as the page draws it: each role's strip to one scale, and each project on the ruler of weeks. */
final readonly class SeasonDrawing
{
    public function __construct(private StripBuilder $strips)
    {
    }

    public function page(CheckedSeason $checked, Settings $settings): SeasonPage
    {
        $scale = Scale::row($this->longest($checked->projects));
        $ruler = new Ruler($checked->season);
        $line = null;
        $rows = [];
        foreach ($checked->projects as $i => $answer) {
            if ($answer->belowChalkLine) {
                $line ??= $i;
            }
            $rows[] = $this->row($answer, $scale, $ruler, $settings);
        }

        return new SeasonPage($checked, $rows, $line, $ruler);
    }

    /** One of its projects, for the margin of a page. */
    public function one(CheckedSeason $checked, string $id, Settings $settings): ?ProjectRow
    {
        foreach ($checked->projects as $answer) {
            if ($answer->project->id === $id) {
                return $this->row($answer, Scale::margin($this->longest($checked->projects)), new Ruler($checked->season), $settings);
            }
        }

        return null;
    }

    private function row(ProjectAnswer $answer, Scale $scale, Ruler $ruler, Settings $settings): ProjectRow
    {
        $roles = array_map(
            fn (RoleAnswer $role): RoleRow => new RoleRow(
                $role,
                $this->strips->role($role, $answer->project->name, $scale, $settings->system),
            ),
            $answer->roles,
        );

        return new ProjectRow($answer, $roles, $ruler->bar($answer));
    }

    /** @param list<ProjectAnswer> $projects */
    private function longest(array $projects): Length
    {
        $longest = Length::zero();
        foreach ($projects as $answer) {
            foreach ($answer->roles as $role) {
                $end = ($role->toCut->length ?? Length::zero())->larger($role->amount() ?? Length::zero());
                $longest = $longest->larger($end)->larger(Promise::total($role->promises));
            }
        }

        return $longest;
    }
}
