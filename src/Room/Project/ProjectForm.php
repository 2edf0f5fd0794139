<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Certainty;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Purpose;
use Octavum\Core\Project\Season;
use Octavum\Input\Entry;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\Library;

/** The project form: what its fields show, and what was typed into them. */
final readonly class ProjectForm
{
    public function __construct(
        private Stash $stash,
        private Library $library,
        private OptionForm $options,
        private AccountSettings $settings,
    ) {
    }

    /** What can be chosen for a cut and for a version. */
    public function choices(Account $account): Choices
    {
        return new Choices($this->stash->named($account), $this->library->names($account));
    }

    /** @return array<string, mixed> by field, as typed */
    public function values(Project $project, Choices $choices, System $system): array
    {
        return [
            'name' => $project->name,
            'person' => $project->brief->person->id ?? '',
            'season' => $project->season->undated ? 'none' : $project->season->id,
            'rank' => $project->rank > 0 ? (string) $project->rank : '',
            'certainty' => $project->brief->certainty->value,
            'state' => $project->log->state->value,
            'deadline' => $this->settings->day($project->brief->dates->deadline),
            'soft' => $project->brief->dates->soft ? '1' : '',
            'notBefore' => $this->settings->day($project->brief->dates->notBefore),
            'ease' => null === $project->brief->ease ? '' : (new LengthFormatter($system))->typed($project->brief->ease, small: true),
            'notes' => $project->brief->notes,
            'purpose' => $project->brief->purpose->value ?? '',
            'occasion' => $project->brief->occasion,
            'toile' => match ($project->brief->toile) {
                true => 'yes', false => 'no', null => '',
            },
            'notionsTaken' => $project->log->notionsTaken ? '1' : '',
            ...$this->options->values($project->current, $choices, $system),
        ];
    }

    /**
     * @param Project               $project as it is; its options and decisions are kept
     * @param array<string, Season> $seasons by id
     * @param array<string, Person> $people  by id
     */
    public function read(
        Entry $entry,
        Project $project,
        array $seasons,
        array $people,
        Choices $choices,
        Account $account,
    ): Project {
        $current = $this->options->read($entry, $project->current->id, $choices, $account, $people);

        return new Project(
            $project->id,
            '' === $entry->raw('name') && null !== $current->pattern ? $current->pattern->title : $entry->name('name'),
            $seasons[$entry->raw('season')] ?? $project->season,
            $entry->integer('rank', 1, 1000) ?? $project->rank,
            brief: new ProjectBrief(
                $people[$entry->raw('person')] ?? null,
                purpose: $entry->choice('purpose', Purpose::class),
                occasion: $entry->text('occasion', 200),
                certainty: $entry->choice('certainty', Certainty::class) ?? Certainty::Likely,
                dates: new ProjectDates($entry->date('deadline'), $entry->boolean('soft'), $entry->date('notBefore')),
                ease: $entry->change('ease', $this->settings->load($account)->system->widthUnit()),
                toile: ['yes' => true, 'no' => false][$entry->raw('toile')] ?? null,
                notes: $entry->text('notes'),
            ),
            log: new ProjectLog(
                state: $entry->choice('state', ProjectState::class) ?? ProjectState::Planned,
                sewing: $project->log->sewing,
                decisions: $project->log->decisions,
                notionsTaken: $entry->boolean('notionsTaken'),
                pictures: $project->log->pictures,
            ),
            current: $current,
            others: $project->others,
        );
    }
}
