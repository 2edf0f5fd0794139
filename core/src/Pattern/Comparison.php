<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Body\Feature;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Sentence;

/** Two versions side by side, by what differs: cloth in a size, hours, what each has, notions. */
final readonly class Comparison
{
    /** @return list<Compared> */
    public function compare(Version $first, Version $second, string $size): array
    {
        return [
            ...$this->cloth($first, $second, $size),
            ...$first->minutes === $second->minutes ? [] : [new Compared(new Sentence('hours'), $first->minutes, $second->minutes)],
            ...$this->each(
                array_map(static fn (Feature $one): string => $one->value, $first->features),
                array_map(static fn (Feature $one): string => $one->value, $second->features),
            ),
            ...$this->each($first->notions, $second->notions),
        ];
    }

    /** @return list<Compared> a row for each role, width and nap in which either has another length */
    private function cloth(Version $first, Version $second, string $size): array
    {
        $rows = [];
        foreach ([$first, $second] as $i => $version) {
            foreach ($version->table->rows as $row) {
                $key = $row->role->value.' '.$row->width->micrometres.' '.$row->nap->value;
                $rows[$key] ??= [$row, null, null];
                $rows[$key][$i + 1] = $row->cells[$size] ?? null;
            }
        }
        $differ = [];
        foreach ($rows as [$row, $a, $b]) {
            if ($a?->micrometres !== $b?->micrometres) {
                $differ[] = new Compared(
                    new Sentence('{role}, {width}, {nap}', [
                        'role' => new Sentence($row->role->value),
                        'width' => Figure::width($row->width),
                        'nap' => new Sentence(Nap::Either === $row->nap ? 'with or without nap' : $row->nap->value.' nap'),
                    ]),
                    null === $a ? null : Figure::needed($a),
                    null === $b ? null : Figure::needed($b),
                );
            }
        }

        return $differ;
    }

    /**
     * @param list<string> $first
     * @param list<string> $second
     *
     * @return list<Compared> what only one of them has
     */
    private function each(array $first, array $second): array
    {
        $has = new Sentence('has it');

        return [
            ...array_map(
                static fn (string $one): Compared => new Compared(new Sentence($one), $has, null),
                array_values(array_diff($first, $second)),
            ),
            ...array_map(
                static fn (string $one): Compared => new Compared(new Sentence($one), null, $has),
                array_values(array_diff($second, $first)),
            ),
        ];
    }
}
