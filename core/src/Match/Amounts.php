<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\On;
use Octavum\Core\Need\Wanted;

/**
 * What versions take on many cloths, without the working: on all cloths that read the same row of its table, and are alike in
 * direction and repeat, a version takes the same, so that it is worked out once.
 */
final class Amounts
{
    private readonly Estimator $estimator;

    /** @var array<string, ?Length> */
    private array $known = [];

    public function __construct(private readonly Assumptions $assumptions)
    {
        $this->estimator = new Estimator($assumptions, guesses: false);
    }

    /**
     * @param int $of what is wanted, numbered
     *
     * @return ?Length null when it is not known
     */
    public function of(int $of, Wanted $wanted, On $on): ?Length
    {
        $table = $wanted->version?->table;
        if (null === $table || null === $on->width) {
            return null;
        }
        $choice = $table->choose($wanted->role, $wanted->largestSize(), $on->width, $on->oneWay, $this->assumptions->rowTolerance);
        if (null === $choice) {
            return null;
        }
        if ($choice->isConverted()) {
            return $this->amount($wanted, $on);
        }
        $key = $of.' '.spl_object_id($choice->row).' '.(int) $on->oneWay.' '.($on->repeat->micrometres ?? '');
        if (!\array_key_exists($key, $this->known)) {
            $this->known[$key] = $this->amount($wanted, $on);
        }

        return $this->known[$key];
    }

    public function isTooNarrow(Wanted $wanted, On $on): bool
    {
        return null !== $wanted->size && null !== $this->estimator->tooWide($wanted, $on);
    }

    private function amount(Wanted $wanted, On $on): ?Length
    {
        $need = $this->estimator->estimate($wanted, $on);

        return $need instanceof Need ? $need->amount : null;
    }
}
