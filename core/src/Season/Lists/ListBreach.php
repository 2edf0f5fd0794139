<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Lists;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;

/** How a project breaks the rule of a list it stands on. */
final readonly class ListBreach
{
    public function find(SewingList $list, Project $project): ?Sentence
    {
        $with = ['project' => $project->name, 'subject' => $list->subject];

        return match ($list->rule) {
            ListRule::StashOnly => $this->stash($list, $project),
            ListRule::ForOthers => match (true) {
                null === $project->brief->person => new Sentence('{project}: the person is not set.', $with),
                0 === strcasecmp(trim($project->brief->person->name), trim($list->subject)) => new Sentence(
                    '{project} is for {person}, not for others.',
                    $with + ['person' => $project->brief->person->name],
                ),
                default => null,
            },
            ListRule::TheseMakers => $this->isAmong($project->current->pattern->label->maker ?? '', $list->subject)
                ? null
                : new Sentence('{project} is not of {subject}.', $with),
            ListRule::ThisPattern => 0 === strcasecmp(trim($project->current->pattern->title ?? ''), trim($list->subject))
                ? null
                : new Sentence('{project} is not made from {subject}.', $with),
            null => null,
        };
    }

    /** Cloth to buy, ordered, or bought since the list began. */
    private function stash(SewingList $list, Project $project): ?Sentence
    {
        foreach ($project->current->claims as $claim) {
            $with = ['project' => $project->name, 'cloth' => $claim->wish->name ?? $claim->cloth->name ?? ''];
            if (null !== $claim->wish) {
                return new Sentence('{project} buys {cloth}: only stash cloth is meant.', $with);
            }
            if (CutState::Ordered === $claim->cut?->state) {
                return new Sentence('{project}: {cloth} is ordered, not from the stash.', $with);
            }
            $bought = null === $claim->cut ? null : $this->bought($claim->cut);
            if (null !== $bought && null !== $list->dates->starts && $bought >= $list->dates->starts) {
                return new Sentence('{project}: {cloth} was bought on {day}, after the list began.', $with + ['day' => $bought]);
            }
        }

        return null;
    }

    private function bought(Cut $cut): ?\DateTimeImmutable
    {
        foreach ($cut->ledger as $entry) {
            if (LedgerKind::Bought === $entry->kind) {
                return $entry->on;
            }
        }

        return null;
    }

    private function isAmong(string $maker, string $makers): bool
    {
        $all = array_map(static fn (string $one): string => mb_strtolower(trim($one)), explode(',', $makers));

        return '' !== $maker && \in_array(mb_strtolower(trim($maker)), $all, true);
    }
}
