<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\On;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Need\Way;
use Octavum\Core\Season\CheckedSeason;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\RoleAnswer;

/** What a season still wants from a shop: every role to be bought, and every role whose cut is short. */
final readonly class ShoppingList
{
    private const WIDTHS = ['metric' => [90, 112, 140, 150], 'imperial' => [36, 44, 54, 60]];

    private Estimator $estimator;

    public function __construct(private Assumptions $assumptions, private Counter $counter, private System $system)
    {
        $this->estimator = new Estimator($assumptions);
    }

    /** @return list<Item> in rank order */
    public function of(CheckedSeason $season): array
    {
        $items = [];
        foreach ($season->projects as $answer) {
            foreach ($answer->roles as $role) {
                $item = match ($role->verdict) {
                    Verdict::ToBuy => $this->wish($answer->project, $role),
                    Verdict::Short => $this->shortfall($answer->project, $role),
                    default => null !== $role->claim->wish ? $this->wish($answer->project, $role) : null,
                };
                if (null !== $item) {
                    $items[] = $item;
                }
            }
        }

        return $items;
    }

    private function wish(Project $project, RoleAnswer $role): ?Item
    {
        $wish = $role->claim->wish;

        if (null === $wish) {
            return null;
        }
        $asks = $this->asks($project, $role, new On(null, $wish->oneWay, $wish->repeat), $wish->shrinkage()->along);
        if (null !== $role->atWidth && $role->need instanceof Need && Way::LaidOut === $role->need->way) {
            $asks[] = ['width' => $role->atWidth, 'ask' => Ask::for($role->need, $wish->shrinkage()->along, $this->counter, $this->assumptions)];
            usort($asks, static fn (array $a, array $b): int => $a['width']->micrometres <=> $b['width']->micrometres);
        }

        return new Item($project, $role, $wish->name, $asks, null, $wish->pricePerMetre);
    }

    private function shortfall(Project $project, RoleAnswer $role): ?Item
    {
        $cloth = $role->claim->cloth;

        return null === $cloth ? null : new Item($project, $role, $cloth->name, $this->asks($project, $role, On::cloth($cloth), $cloth->shrinkage()->along), $role->spare?->negated(), $cloth->pricePerMetre);
    }

    /** @return list<array{width: Length, ask: Ask|\Octavum\Core\Need\Unknown}> */
    private function asks(Project $project, RoleAnswer $role, On $on, Percent $shrink): array
    {
        $unit = System::Metric === $this->system ? Unit::Centimetre : Unit::Inch;

        return array_map(function (int $number) use ($project, $role, $on, $shrink, $unit): array {
            $width = Length::of((string) $number, $unit);
            $need = $this->estimator->estimate($project->wanted($role->claim), $on->at($width));

            return ['width' => $width, 'ask' => $need instanceof Need ? Ask::for($need, $shrink, $this->counter, $this->assumptions) : $need];
        }, self::WIDTHS[$this->system->value]);
    }
}
