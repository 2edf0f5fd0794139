<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

use Octavum\Core\Measure\Length;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\OptionAnswer;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Workroom\Settings;
use Octavum\Strip\Scale;
use Octavum\Strip\StripBuilder;

/** A checked season as the page draws it: each role's strip to one scale, and each project on the ruler of weeks. */
final readonly class SeasonDrawing
{
    /** Pixels for a strip: in a row of a project's page, and in its head. */
    private const IN_A_ROW = 420;
    private const IN_THE_HEAD = 660;

    public function __construct(private StripBuilder $strips)
    {
    }

    public function page(CheckedSeason $checked, Settings $settings): SeasonPage
    {
        $scale = Scale::row($this->longest($checked->projects));
        $ruler = new Ruler($checked->season);
        $line = null;
        $rows = $aside = [];
        foreach ($checked->projects as $answer) {
            $row = $this->row($answer, $scale, $ruler, $settings, $checked->perhaps());
            if (!$answer->project->log->state->takesHours()) {
                $aside[] = $row;
                continue;
            }
            if ($answer->turn->below) {
                $line ??= \count($rows);
            }
            $rows[] = $row;
        }

        return new SeasonPage($checked, $rows, $line, $ruler, $aside);
    }

    /** One of its projects, for the margin of a form. */
    public function one(CheckedSeason $checked, string $id, Settings $settings): ?ProjectRow
    {
        $answer = $this->find($checked, $id);

        return null === $answer
            ? null
            : $this->row($answer, Scale::margin($this->longest([$answer])), new Ruler($checked->season), $settings, $checked->perhaps());
    }

    /** One of its projects, for its page: a row for each role. */
    public function large(CheckedSeason $checked, string $id, Settings $settings): ?ProjectRow
    {
        $answer = $this->find($checked, $id);

        return null === $answer
            ? null
            : $this->row(
                $answer,
                Scale::row($this->longest([$answer]), self::IN_A_ROW),
                new Ruler($checked->season),
                $settings,
                $checked->perhaps(),
            );
    }

    /** One role, as large as the head of a project's page has room. */
    public function head(CheckedSeason $checked, ProjectAnswer $answer, RoleAnswer $role, Settings $settings): RoleRow
    {
        return $this->role($answer, $role, Scale::panel($this->longest([$answer]), self::IN_THE_HEAD), $settings, $checked->perhaps());
    }

    /**
     * Options below one another, to one scale.
     *
     * @param list<OptionAnswer> $answers
     *
     * @return list<OptionCard>
     */
    public function options(array $answers, Settings $settings): array
    {
        $longest = $this->longest(array_map(static fn (OptionAnswer $answer): ProjectAnswer => $answer->answer, $answers));
        $scale = Scale::row($longest, self::IN_A_ROW);

        return array_map(
            fn (OptionAnswer $answer): OptionCard => new OptionCard($answer, $this->roles($answer->answer, $scale, $settings)),
            $answers,
        );
    }

    private function find(CheckedSeason $checked, string $id): ?ProjectAnswer
    {
        foreach ($checked->projects as $answer) {
            if ($answer->project->id === $id) {
                return $answer;
            }
        }

        return null;
    }

    /** @param array<string, list<Reservation>> $perhaps by cut */
    private function row(ProjectAnswer $answer, Scale $scale, Ruler $ruler, Settings $settings, array $perhaps): ProjectRow
    {
        return new ProjectRow($answer, $this->roles($answer, $scale, $settings, $perhaps), $ruler->bar($answer));
    }

    /**
     * @param array<string, list<Reservation>> $perhaps by cut
     *
     * @return list<RoleRow>
     */
    private function roles(ProjectAnswer $answer, Scale $scale, Settings $settings, array $perhaps = []): array
    {
        return array_map(
            fn (RoleAnswer $role): RoleRow => $this->role($answer, $role, $scale, $settings, $perhaps),
            $answer->roles,
        );
    }

    /** @param array<string, list<Reservation>> $perhaps by cut */
    private function role(ProjectAnswer $answer, RoleAnswer $role, Scale $scale, Settings $settings, array $perhaps): RoleRow
    {
        $others = null === $role->claim->cut ? [] : $perhaps[$role->claim->cut->id] ?? [];

        return new RoleRow($role, $this->strips->role($role, $answer->project->name, $scale, $settings->system, $others));
    }

    /** @param list<ProjectAnswer> $projects */
    private function longest(array $projects): Length
    {
        $longest = Length::zero();
        foreach ($projects as $answer) {
            foreach ($answer->roles as $role) {
                $end = ($role->toCut->length ?? Length::zero())->larger($role->amount() ?? Length::zero());
                $longest = $longest->larger($end)->larger(Reservation::total($role->promises));
            }
        }

        return $longest;
    }
}
