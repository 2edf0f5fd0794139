<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Conversion;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\RowReader;
use Octavum\Core\Need\RowReading;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RowChoice;

/**
 * What many versions take on many cloths by their tables, without the working. Tables that have rows for the same widths read the
 * same of them for a cloth, so that a row is chosen once for all; and on all cloths that read the same row, and are alike in
 * direction and repeat, a version takes the same.
 */
final class Amounts
{
    private readonly Estimator $estimator;
    private readonly Conversion $conversion;

    /** @var list<?string> the rows of each table without their lengths; null where a table tells nothing */
    private array $kinds = [];

    /** @var array<string, array<int|string, array<int, ?Length>>> by direction and repeat, then row and version */
    private array $known = [];

    /** @param list<NeedRequest> $wanted */
    public function __construct(private readonly array $wanted, private readonly Assumptions $assumptions)
    {
        $this->estimator = new Estimator($assumptions, guesses: false);
        $this->conversion = new Conversion();
        foreach ($wanted as $one) {
            $this->kinds[] = self::kind($one);
        }
    }

    /**
     * @param list<int> $which of what is wanted
     *
     * @return array<int, ?Length> what each takes, null where it is not known; without those that have a piece too wide for it
     */
    public function calculate(CuttingCloth $on, array $which): array
    {
        $choices = $takes = [];
        $known = &$this->known[(int) $on->oneWay.' '.($on->repeat->micrometres ?? '')];
        foreach ($which as $i) {
            $wanted = $this->wanted[$i];
            if (null !== $wanted->size && null !== $this->estimator->tooWide($wanted, $on)) {
                continue;
            }
            $kind = $this->kinds[$i];
            if ($on->oneWay && null !== $kind && null !== $wanted->version && null !== $on->width && $this->hasRowWithNap($wanted)) {
                // which of its rows is the lesser depends on their lengths
                $takes[$i] = $known['nap '.$on->width->micrometres][$i] ??= (new RowReader($this->assumptions, $this->conversion))
                    ->read($wanted, $wanted->version, $on, $on->width)?->amount;
                continue;
            }
            $choice = null === $kind ? [] : $choices[$kind] ??= $this->choose($wanted, $on);
            $takes[$i] = match (true) {
                [] === $choice => null,
                null !== $choice[1] => $this->read($wanted, $on, $choice),
                default => $known[$choice[0]][$i] ??= $this->read($wanted, $on, $choice),
            };
        }

        return $takes;
    }

    private function hasRowWithNap(NeedRequest $wanted): bool
    {
        return [] !== array_filter(
            $wanted->version->table->rows ?? [],
            static fn (Requirement $row): bool => $row->role === $wanted->role && Nap::With === $row->nap,
        );
    }

    /** @return array{int, ?int}|array{} the places of the row that is read, and of that in whose place it is, as RowChoice has them */
    private function choose(NeedRequest $wanted, CuttingCloth $on): array
    {
        $table = $wanted->version?->table;
        $choice = null === $on->width
            ? null
            : $table?->choose($wanted->role, $wanted->largestSize(), $on->width, $on->oneWay, $this->assumptions->rowTolerance);
        if (null === $table || null === $choice) {
            return [];
        }
        $instead = null === $choice->instead ? null : (int) array_search($choice->instead, $table->rows, true);

        return [(int) array_search($choice->row, $table->rows, true), $instead];
    }

    /** @param array{int, ?int} $choice */
    private function read(NeedRequest $wanted, CuttingCloth $on, array $choice): Length
    {
        [$version, $width] = [$wanted->version, $on->width];
        if (null === $version || null === $width) {
            throw new \LogicException('A row is chosen of a table, for a width.');
        }
        $rows = $version->table->rows;
        $read = new RowChoice($rows[$choice[0]], null === $choice[1] ? null : $rows[$choice[1]], null);

        return (new RowReading(
            $wanted,
            $version,
            $on,
            width: $width,
            choice: $read,
            assumptions: $this->assumptions,
            conversion: $this->conversion,
        ))->amount;
    }

    private static function kind(NeedRequest $wanted): ?string
    {
        $table = $wanted->version?->table;
        $known = null !== $wanted->size
            && true === $table?->hasSize($wanted->size)
            && (null === $wanted->gradedTo || $table->hasSize($wanted->gradedTo));
        if (null === $table || !$known) {
            return null;
        }
        $size = $wanted->largestSize();
        $kind = $wanted->role->value;
        foreach ($table->rows as $row) {
            $kind .= ' '.$row->role->value.$row->width->micrometres.$row->nap->value.(int) isset($row->cells[$size]);
        }

        return $kind;
    }
}
