<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\On;
use Octavum\Core\Need\Wanted;
use Octavum\Core\Pattern\Pattern;

/**
 * What would help when a cut is short, least harm first, each with its figure. Source: the workroom's rules, section 9,
 * as far as it can be said without the pieces.
 */
final readonly class WaysOut
{
    public function __construct(private Estimator $estimator, private Assumptions $assumptions)
    {
    }

    /**
     * @param Length $available of the cut, after those who have it first
     *
     * @return list<Sentence>
     */
    public function of(Wanted $wanted, ?Pattern $pattern, Cloth $cloth, Cut $cut, Length $available, Need $need): array
    {
        return [
            ...$this->otherCuts($cloth, $cut, $need),
            ...$this->wash($cloth, $cut, $need->amount->minus($available)),
            ...$this->otherVersions($wanted, $pattern, $cloth, $available),
        ];
    }

    /** @return list<Sentence> */
    private function otherCuts(Cloth $cloth, Cut $chosen, Need $need): array
    {
        $found = [];
        $sum = Length::zero();
        $lengths = [];
        foreach ($cloth->cuts as $cut) {
            $length = $cut->gone ? null : ToCut::of($cloth, $cut, $this->assumptions)->length;
            if (null === $length) {
                continue;
            }
            $sum = $sum->plus($length);
            $lengths[] = new Sentence('{length}', ['length' => Figure::owned($length)]);
            if ($cut->id !== $chosen->id && !$length->isLessThan($need->amount)) {
                $found[] = new Sentence('Another cut of it has {length} to cut from, and would do alone.', ['length' => Figure::owned($length)]);
            }
        }
        if ([] === $found && \count($lengths) > 1 && !$sum->isLessThan($need->amount)) {
            $found[] = new Sentence('Its cuts cannot be added up: they are separate, and no piece can lie across the gap. Some pieces may come from one cut and the rest from another; spread the pieces out before you count on it.');
        }

        return $found;
    }

    /** @return list<Sentence> */
    private function wash(Cloth $cloth, Cut $cut, Length $missing): array
    {
        if ($cut->measuredSinceWash || null === $cut->length) {
            return [];
        }
        $counted = $cut->length->minus($this->assumptions->squaring->times(2))->minus(ToCut::of($cloth, $cut, $this->assumptions)->length ?? $cut->length);
        if ($counted->micrometres <= 0 || $counted->isLessThan($missing)) {
            return [];
        }

        return [new Sentence('Up to {length} is counted off for the wash: wash it and measure again before giving up.', ['length' => Figure::owned($counted)])];
    }

    /** @return list<Sentence> */
    private function otherVersions(Wanted $wanted, ?Pattern $pattern, Cloth $cloth, Length $available): array
    {
        $found = [];
        foreach ($pattern->versions ?? [] as $version) {
            if ($version->id === $wanted->version?->id || null === $wanted->size || !$version->table->hasSize($wanted->size)) {
                continue;
            }
            $need = $this->estimator->estimate(new Wanted($version, $wanted->garment, $wanted->role, $wanted->size, $wanted->gradedTo, $wanted->alterations), On::cloth($cloth));
            if ($need instanceof Need && !$available->isLessThan($need->amount)) {
                $found[] = new Sentence('Version “{version}” of the same pattern wants {length}, and fits on it.', ['version' => $version->name, 'length' => Figure::needed($need->amount)]);
            }
        }

        return $found;
    }
}
