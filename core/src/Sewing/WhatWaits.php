<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Cloth\CutState;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;

/** Why a step cannot be done yet, besides those before it: somebody is waited for, a notion or its cloth is not here. */
final readonly class WhatWaits
{
    /** The first reason; null when there is none. */
    public function why(ProjectAnswer $answer, Step $step): ?Sentence
    {
        return '' === $step->waits
            ? $this->notion($answer, $step) ?? $this->cloth($answer, $step)
            : new Sentence('{what}', ['what' => $step->waits]);
    }

    /** What it needs that is not here, or not enough of it. */
    public function notion(ProjectAnswer $answer, Step $step): ?Sentence
    {
        $needed = array_filter(
            $answer->project->log->notionsTaken ? [] : $answer->notions,
            static fn (NotionAnswer $notion): bool => \in_array($notion->wanted->kind, $step->needs, true),
        );
        $missing = array_filter($needed, static fn (NotionAnswer $notion): bool => false === $notion->enough);
        $ordered = array_filter($needed, static fn (NotionAnswer $notion): bool => null !== $notion->comes);

        return match (true) {
            [] !== $missing => new Sentence('Not here, or not enough: {notions}.', [
                'notions' => implode(', ', array_column($missing, 'text')),
            ]),
            [] !== $ordered => array_values($ordered)[0]->sentence,
            default => null,
        };
    }

    private function cloth(ProjectAnswer $answer, Step $step): ?Sentence
    {
        $cutting = StepKind::CutOut === $step->kind;
        $of = array_filter($answer->roles, static fn (RoleAnswer $role): bool => !$role->claim->cutOut
            && (\in_array($role->claim->role, $step->cloths, true) || StepKind::Wash === $step->kind));
        foreach ($of as $role) {
            $cut = $role->claim->cut;
            $cloth = ['cloth' => $role->claim->cloth->name ?? ($role->claim->wish->name ?? '')];
            $why = match (true) {
                CutState::Ordered === $cut?->state && null === $cut->expected => new Sentence('{cloth} is ordered.', $cloth),
                CutState::Ordered === $cut?->state => new Sentence('{cloth} comes about {day}.', $cloth + [
                    'day' => $cut->expected ?? '',
                ]),
                null !== $role->claim->wish => new Sentence('{cloth} is to be bought.', $cloth),
                // a plan without cloth is kept by somebody who keeps no stash
                null === $cut => null,
                $cutting && Verdict::Short === $role->verdict => new Sentence('{cloth} is too short for it: make it enough first.', $cloth),
                $cutting && Verdict::NotKnown === $role->verdict => new Sentence('Whether {cloth} is enough is not known yet.', $cloth),
                default => null,
            };
            if (null !== $why) {
                return $why;
            }
        }

        return null;
    }
}
