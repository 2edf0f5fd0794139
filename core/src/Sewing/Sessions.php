<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Colour\Lab;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Season\Answer\ProjectAnswer;

/**
 * Steps of one kind over all projects: trace these, cut these, overlock in one thread, wash what may go into one drum. Only what
 * waits for nothing is taken; print, trace and draw also where another sheet of the same project comes first.
 */
final readonly class Sessions
{
    /** By CIEDE2000, cloths no further apart are sewn with one thread. A starting value of the house. */
    private const ONE_THREAD = 12;

    /**
     * @param list<ProjectAnswer> $answers
     *
     * @return list<Session>
     */
    public function group(array $answers): array
    {
        $groups = [];
        foreach ((new WhatFits($answers))->longer(-1) as $doable) {
            $key = $this->key($doable, $groups);
            if (null !== $key) {
                $groups[$key][] = $doable;
            }
        }
        $sessions = $this->washes($answers);
        foreach ($groups as $steps) {
            if (\count($steps) > 1) {
                $sessions[] = new Session(
                    $this->title($steps[0]),
                    $steps,
                    array_sum(array_map(static fn (Doable $doable): int => $doable->minutes ?? 0, $steps)),
                );
            }
        }

        return $sessions;
    }

    /** @param array<string, non-empty-list<Doable>> $groups */
    private function key(Doable $doable, array $groups): ?string
    {
        $kind = $doable->step->kind;
        if (StepKind::Overlock === $kind) {
            foreach ($groups as $key => $steps) {
                if (StepKind::Overlock === $steps[0]->step->kind && $this->oneThread($doable, $steps[0])) {
                    return $key;
                }
            }

            return null === $this->colour($doable) ? null : 'overlock '.$doable->answer->project->id;
        }

        return match ($kind) {
            StepKind::Print, StepKind::Trace, StepKind::Draw, StepKind::CutOut, StepKind::Fuse => $kind->value,
            StepKind::Finish, StepKind::Sew => $kind->value.' '.$doable->step->name,
            default => null,
        };
    }

    private function title(Doable $first): Sentence
    {
        return match ($first->step->kind) {
            StepKind::Overlock => new Sentence('Overlock, thread for {cloth}', ['cloth' => $this->cloth($first)->name ?? '']),
            StepKind::Finish, StepKind::Sew => new Sentence('{step}', ['step' => $first->step->name]),
            StepKind::Print => new Sentence('Print and tape'),
            StepKind::Trace => new Sentence('Trace'),
            StepKind::Draw => new Sentence('Draw alterations'),
            StepKind::CutOut => new Sentence('Cut out'),
            default => new Sentence('Fuse interfacing'),
        };
    }

    private function oneThread(Doable $one, Doable $other): bool
    {
        [$a, $b] = [$this->colour($one), $this->colour($other)];

        return null !== $a && null !== $b && $a->difference($b) <= self::ONE_THREAD;
    }

    private function colour(Doable $doable): ?Lab
    {
        $colour = $this->cloth($doable)->look->colours[0] ?? null;

        return null === $colour ? null : Lab::ofHex($colour);
    }

    private function cloth(Doable $doable): ?Cloth
    {
        return $doable->answer->roles[0]->claim->cloth ?? null;
    }

    /**
     * Of what is here and may be washed, all that goes at one heat.
     *
     * @param list<ProjectAnswer> $answers
     *
     * @return list<Session>
     */
    private function washes(array $answers): array
    {
        $loads = $cuts = [];
        foreach ($answers as $answer) {
            foreach ($answer->roles as $role) {
                [$cloth, $cut] = [$role->claim->cloth, $role->claim->cut];
                if (
                    null === $cloth || null === $cut || $cut->settled || $role->claim->cutOut || isset($cuts[$cut->id])
                    || CutState::Ordered === $cut->state || false === $cloth->material->care?->mayBeWashed()
                ) {
                    continue;
                }
                $cuts[$cut->id] = true;
                $step = array_values(array_filter($answer->hours->steps, static fn (Step $one): bool => StepKind::Wash === $one->kind));
                $loads[$cloth->material->care->value ?? ''][] = [
                    $cloth,
                    $cut,
                    new Doable($answer, $step[0] ?? new Step('wash', 'Wash'), 0, null),
                ];
            }
        }
        $sessions = [];
        foreach ($loads as $care => $load) {
            if (\count($load) > 1) {
                $grams = array_map(fn (array $one): ?int => $this->grams($one[0], $one[1]), $load);
                $sessions[] = new Session(
                    '' === $care
                        ? new Sentence('Wash, as their labels say')
                        : new Sentence('Wash: {care}', ['care' => new Sentence($care)]),
                    array_column($load, 2),
                    0,
                    implode(', ', array_unique(array_map(static fn (array $one): string => $one[0]->name, $load))),
                    \in_array(null, $grams, true) ? null : array_sum($grams),
                );
            }
        }

        return $sessions;
    }

    private function grams(Cloth $cloth, Cut $cut): ?int
    {
        $width = $cut->widthOf($cloth)?->full;
        $weight = $cloth->material->weight?->grams;

        return null === $cut->length || null === $width || null === $weight
            ? null
            : (int) round($cut->length->micrometres * 1e-6 * $width->micrometres * 1e-6 * $weight);
    }
}
