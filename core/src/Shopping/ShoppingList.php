<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\RoleAnswer;

/** What a season still wants from a shop: every role to be bought, and every role whose cut is short. */
final readonly class ShoppingList
{
    private const WIDTHS = ['metric' => [90, 112, 140, 150], 'imperial' => [36, 44, 54, 60]];

    private Estimator $estimator;

    /** @param ?Length $width that is asked for besides the usual ones */
    public function __construct(
        private Assumptions $assumptions,
        private Counter $counter,
        private System $system,
        private ?Length $width = null,
    ) {
        $this->estimator = new Estimator($assumptions);
    }

    /** @return list<ShoppingItem> in rank order */
    public function compile(CheckedSeason $season): array
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

    /** @return list<Length> of the bolts that most counters have */
    public static function usualWidths(System $system): array
    {
        $unit = System::Metric === $system ? Unit::Centimetre : Unit::Inch;

        return array_map(static fn (int $number): Length => Length::of((string) $number, $unit), self::WIDTHS[$system->value]);
    }

    private function wish(Project $project, RoleAnswer $role): ?ShoppingItem
    {
        $wish = $role->claim->wish;
        if (null === $wish) {
            return null;
        }
        $widths = null !== $wish->width ? [$wish->width] : [];
        $asks = $this->asks(
            $project,
            $role,
            new CuttingCloth(null, $wish->oneWay, $wish->repeat),
            shrinkage: $wish->shrinkage(),
            selvage: $this->assumptions->selvage,
            more: $widths,
        );
        if (null !== $role->atWidth && $role->need instanceof Need && NeedSource::LaidOut === $role->need->way) {
            $asks[] = [
                'width' => $role->atWidth,
                'ask' => Ask::for($role->need, $wish->shrinkage()->along, $this->counter, $this->assumptions),
                'area' => null,
            ];
        }

        return new ShoppingItem(
            $project,
            $role,
            $wish->name,
            asks: self::byWidth($asks),
            missing: null,
            pricePerMetre: $wish->pricePerMetre,
        );
    }

    /** The cloth's own width stands among those asked for: more of the same is the first thing to look for. */
    private function shortfall(Project $project, RoleAnswer $role): ?ShoppingItem
    {
        $cloth = $role->claim->cloth;
        if (null === $cloth) {
            return null;
        }
        $own = null === $cloth->width ? [] : [$cloth->width->full];
        $asks =
            $role->isEnoughLaid() || null !== $role->otherCut()
                ? []
                : $this->asks(
                    $project,
                    $role,
                    new CuttingCloth(null, $cloth->isOneWay(), $cloth->look->repeat),
                    shrinkage: $cloth->material->shrinkage(),
                    selvage: $cloth->width->selvage ?? $this->assumptions->selvage,
                    more: $own,
                );

        return new ShoppingItem(
            $project,
            $role,
            $cloth->name,
            asks: self::byWidth($asks),
            missing: $role->missing(),
            pricePerMetre: $cloth->purchase->pricePerMetre,
        );
    }

    /**
     * @param list<Length> $more widths besides those of every counter
     *
     * @return list<array{width: Length, ask: Ask|Unknown, area: ?Length}>
     */
    private function asks(Project $project, RoleAnswer $role, CuttingCloth $on, Shrinkage $shrinkage, Length $selvage, array $more): array
    {
        $more = null === $this->width || \in_array($this->width->micrometres, array_column($more, 'micrometres'), true)
            ? $more
            : [...$more, $this->width];
        $usual = array_filter(
            self::usualWidths($this->system),
            static fn (Length $width): bool => !\in_array(
                $width->micrometres,
                array_map(static fn (Length $one): int => $one->micrometres, $more),
                true,
            ),
        );
        // of several sewn together each has a size of its own
        $wanted = ($role->line ?? $project)->wanted($role->claim);

        return array_map(
            function (Length $width) use ($wanted, $on, $shrinkage, $selvage): array {
                $at = $on->at($width, $shrinkage->across->takenFrom($width->minus($selvage->times(2)), Rounding::Down));
                $need = $this->estimator->estimate($wanted, $at);
                $tooWide = $this->estimator->tooWide($wanted, $at);
                $ask = match (true) {
                    null !== $tooWide => new Unknown(Missing::Width, $tooWide->sentence()),
                    $need instanceof Need => Ask::for($need, $shrinkage->along, $this->counter, $this->assumptions),
                    default => $need,
                };

                return [
                    'width' => $width,
                    'ask' => $ask,
                    'area' => $need instanceof Need && $ask instanceof Ask ? $need->secondOpinion : null,
                ];
            },
            [...$more, ...array_values($usual)],
        );
    }

    /**
     * @template T of array{width: Length}
     *
     * @param list<T> $asks
     *
     * @return list<T>
     */
    private static function byWidth(array $asks): array
    {
        usort($asks, static fn (array $a, array $b): int => $a['width']->micrometres <=> $b['width']->micrometres);

        return $asks;
    }
}
