<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Gate;

use Octavum\Core\Cloth\CutState;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\PatternSnags;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\SizeSnags;
use Octavum\Core\Season\Snag\Snag;

/** The gate before cutting: what is known is told, what is not is asked, and each check can be waived with a word. */
final readonly class Gate
{
    /**
     * @param list<Sentence>        $toile why one is advised; none when it is not
     * @param array<string, string> $said  of each check, a word where it is waived
     *
     * @return list<GateLine> what is known first, then what is asked
     */
    public function check(ProjectAnswer $answer, RoleAnswer $role, array $toile, array $said): array
    {
        $project = $role->line ?? $answer->project;
        $lines = [
            $this->here($role),
            $this->enough($answer, $role),
            $this->laid($answer, $role),
            $this->known(Check::Washed, $answer, $role, new Sentence('Washed and dried, or not to be washed.')),
            $this->measured($answer, $role),
            $this->pattern($project, $role),
            $this->alterations($project),
            $this->toile($toile),
            $this->known(Check::Notions, $answer, $role, $this->notions($answer)),
            $this->asked(Check::Pressed, new Sentence('Is it pressed?')),
            $this->asked(Check::Squared, new Sentence('Are the ends straight, and on grain?')),
            $this->pieces($project, $role),
            $this->asked(Check::RightSide, new Sentence(
                true === $role->claim->cloth?->isOneWay()
                    ? 'It goes one way only: are the right side and the direction marked?'
                    : 'Is the right side marked?',
            )),
        ];

        return array_map(static fn (GateLine $line): GateLine => $line->answered($said[$line->check->value] ?? null), $lines);
    }

    /** @param list<GateLine> $lines */
    public static function isOpen(array $lines): bool
    {
        return [] === array_filter($lines, static fn (GateLine $line): bool => !$line->isPassed());
    }

    private function known(Check $check, ProjectAnswer $answer, RoleAnswer $role, Sentence $clear): GateLine
    {
        return $this->unless($check, $this->snags($check, $answer, $role), $clear);
    }

    /** @param list<Snag> $snags */
    private function unless(Check $check, array $snags, Sentence $clear): GateLine
    {
        return [] === $snags
            ? $this->clear($check, $clear)
            : $this->open($check, $snags[0]->sentence, $snags);
    }

    /** Of notions none of which is missing, or comes too late. */
    private function notions(ProjectAnswer $answer): Sentence
    {
        $ordered = array_filter($answer->notions, static fn (NotionAnswer $notion): bool => null !== $notion->comes);

        return [] === $ordered
            ? new Sentence('The notions are here, or none are asked for.')
            : new Sentence('Ordered, and here before the step that needs it: {notions}.', [
                'notions' => implode(', ', array_column($ordered, 'text')),
            ]);
    }

    private function here(RoleAnswer $role): GateLine
    {
        $cut = $role->claim->cut;

        return match (true) {
            true === $cut?->gone => $this->open(Check::Here, new Sentence('The cut is no longer here.')),
            CutState::Ordered === $cut?->state => $this->open(Check::Here, new Sentence('It is ordered, and not here yet.')),
            default => $this->clear(Check::Here, new Sentence('The cloth is here.')),
        };
    }

    /** Whoever has it first may cut it; a tight fit is a fit. */
    private function enough(ProjectAnswer $answer, RoleAnswer $role): GateLine
    {
        $snags = $this->snags(Check::Enough, $answer, $role);

        return match ($role->verdict) {
            Verdict::Fits => $this->clear(Check::Enough, new Sentence('There is enough, and what others have is left to them.')),
            Verdict::Tight => $this->clear(Check::Enough, new Sentence('It is enough, and tight: cut slowly.')),
            Verdict::Short => $this->open(Check::Enough, $snags[0]->sentence ?? new Sentence('It is short.'), $snags),
            default => $this->open(Check::Enough, new Sentence('It is not known yet whether it is enough.')),
        };
    }

    private function measured(ProjectAnswer $answer, RoleAnswer $role): GateLine
    {
        return true !== $role->claim->cut?->settled
            ? $this->open(Check::Measured, new Sentence('It has not been measured since a wash.'))
            : $this->known(Check::Measured, $answer, $role, new Sentence('Measured since it was washed, or it is not to be washed.'));
    }

    private function laid(ProjectAnswer $answer, RoleAnswer $role): GateLine
    {
        return null === $role->claim->lay
            ? $this->open(Check::Laid, new Sentence('It is not laid out yet, with all pieces, facings and pockets too.'))
            : $this->known(Check::Laid, $answer, $role, new Sentence('Laid out with all its pieces, and nothing has changed since.'));
    }

    /** Version and size, what its paper lacks, and whether this kind of cloth is what it was drafted for. */
    private function pattern(Project $project, RoleAnswer $role): GateLine
    {
        $with = ['version' => $project->current->version->name ?? '', 'size' => $project->current->size ?? ''];
        $kinds = [Action::ChooseInProject, Action::ChangeCloth, Action::TestStretch];
        $cloth = array_filter(
            true === $role->claim->cut?->gone ? [] : $role->snags,
            static fn (Snag $snag): bool => \in_array($snag->action, $kinds, true),
        );
        $grave = array_values(array_filter(
            [...(new SizeSnags())->find($project), ...(new PatternSnags())->paper($project), ...$cloth],
            static fn (Snag $snag): bool => Severity::Note !== $snag->severity,
        ));

        return match (true) {
            null === $project->current->version => $this->open(Check::Pattern, new Sentence('No pattern is chosen.')),
            null === $project->current->size => $this->open(Check::Pattern, new Sentence('No size is chosen.')),
            default => $this->unless(Check::Pattern, $grave, new Sentence('Version {version}, size {size}.', $with)),
        };
    }

    private function alterations(Project $project): GateLine
    {
        $drawn = array_map(
            static fn (KeptAlteration $one): string => $one->name,
            array_filter($project->keepable(), static fn (KeptAlteration $one): bool => $one->drawn),
        );
        $names = array_diff(
            array_map(static fn (Alteration $one): string => $one->name, $project->allAlterations()),
            $drawn,
        );

        return [] === $names
            ? $this->clear(Check::Alterations, new Sentence('No alteration is left to draw.'))
            : $this->asked(Check::Alterations, new Sentence('Drawn on the paper: {names}?', ['names' => implode('; ', $names)]));
    }

    /** @param list<Sentence> $why */
    private function toile(array $why): GateLine
    {
        return [] === $why
            ? $this->clear(Check::Toile, new Sentence('No toile is advised.'))
            : $this->asked(Check::Toile, new Sentence('{why} Is a toile sewn, and does it fit?', ['why' => $why[0]]));
    }

    private function pieces(Project $project, RoleAnswer $role): GateLine
    {
        $pieces = $project->cutting($role->claim)?->version->pieces->in($project->largestSize(), $role->claim->role) ?? [];
        $count = array_sum(array_map(static fn (Piece $piece): int => $piece->quantity, $pieces));

        return $this->asked(
            Check::Pieces,
            [] === $pieces
                ? new Sentence('Is every piece of the pattern there, and counted?')
                : new Sentence('Are all {pieces} pattern pieces there? They are cut {count} times: {names}.', [
                    'pieces' => \count($pieces),
                    'count' => $count,
                    'names' => implode(', ', array_map(static fn (Piece $piece): string => $piece->name, $pieces)),
                ]),
        );
    }

    private function clear(Check $check, Sentence $known): GateLine
    {
        return new GateLine($check, GateState::Clear, $known);
    }

    /** @param list<Snag> $snags */
    private function open(Check $check, Sentence $why, array $snags = []): GateLine
    {
        return new GateLine($check, GateState::Open, $why, $snags);
    }

    private function asked(Check $check, Sentence $question): GateLine
    {
        return new GateLine($check, GateState::Asked, $question);
    }

    /** @return list<Snag> of this role, and of what the project wants besides cloth */
    private function snags(Check $check, ProjectAnswer $answer, RoleAnswer $role): array
    {
        $others = array_merge(...array_map(static fn (RoleAnswer $other): array => $other->snags, $answer->roles));
        $own = [...$role->snags, ...array_filter($answer->snags, static fn (Snag $snag): bool => !\in_array($snag, $others, true))];

        return array_values(array_filter($own, static fn (Snag $snag): bool => $check === Check::of($snag->action)));
    }
}
