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
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;

/**
 * What would help when a cut is short, least harm first, each with its figure. Source: docs/rules.md,
 * as far as it can be said without the pieces.
 */
final readonly class WaysOut
{
    public function __construct(private Estimator $estimator, private Assumptions $assumptions)
    {
    }

    /**
     * @param Length                $available of the cut, after those who have it first
     * @param array<string, Length> $promised  to others, by cut
     *
     * @return list<WayOut>
     */
    public function find(
        NeedRequest $wanted,
        ?Pattern $pattern,
        Cloth $cloth,
        Cut $cut,
        Length $available,
        Need $need,
        array $promised = [],
    ): array {
        return [
            ...$this->otherCuts($wanted, $cloth, $cut, $need, $promised),
            ...$this->wash($cloth, $cut, $need->amount->minus($available)),
            ...$this->otherVersions($wanted, $pattern, $cloth, $cut, $available),
        ];
    }

    /**
     * Another cut of the cloth that would do alone, with what is free of it.
     *
     * @param array<string, Length> $promised to others, by cut
     *
     * @return ?array{Cut, Length} the shortest that will do
     */
    private function otherCut(NeedRequest $wanted, Cloth $cloth, Cut $chosen, Need $need, array $promised): ?array
    {
        $best = null;
        foreach ($this->free($wanted, $cloth, $promised) as [$cut, $free]) {
            if ($cut->id !== $chosen->id && !$free->isLessThan($need->amount) && (null === $best || $free->isLessThan($best[1]))) {
                $best = [$cut, $free];
            }
        }

        return $best;
    }

    /**
     * @param array<string, Length> $promised
     *
     * @return list<array{Cut, Length}> the cuts that are here and wide enough, each with what is free of it
     */
    private function free(NeedRequest $wanted, Cloth $cloth, array $promised): array
    {
        $free = [];
        foreach ($cloth->cuts as $cut) {
            $toCut = ToCut::of($cloth, $cut, $this->assumptions);
            $length = $toCut->length?->minus($promised[$cut->id] ?? Length::zero());
            if (
                !$cut->gone
                && null !== $length
                && $length->micrometres > 0
                && null === $this->estimator->tooWide($wanted, CuttingCloth::cut($cloth, $toCut))
            ) {
                $free[] = [$cut, $length];
            }
        }

        return $free;
    }

    /**
     * @param array<string, Length> $promised
     *
     * @return list<WayOut>
     */
    private function otherCuts(NeedRequest $wanted, Cloth $cloth, Cut $chosen, Need $need, array $promised): array
    {
        $other = $this->otherCut($wanted, $cloth, $chosen, $need, $promised);
        if (null !== $other) {
            return [
                new WayOut(
                    new Sentence('Another cut of it has {length} free, which is enough alone.', [
                        'length' => Figure::owned($other[1]),
                    ]),
                    Remedy::TakeCut,
                    $other[0]->id,
                ),
            ];
        }
        $free = $this->free($wanted, $cloth, []);
        $sum = array_reduce($free, static fn (Length $sum, array $one): Length => $sum->plus($one[1]), Length::zero());

        return \count($free) < 2 || $sum->isLessThan($need->amount)
            ? []
            : [
                new WayOut(
                    new Sentence(
                        'Its cuts cannot be added up: they are separate, and no piece can lie across the gap. Some pieces may come from one cut and the rest from another; spread the pieces out before you count on it.',
                    ),
                    Remedy::LayOut,
                    $chosen->id,
                ),
            ];
    }

    /** @return list<WayOut> */
    private function wash(Cloth $cloth, Cut $cut, Length $missing): array
    {
        if ($cut->settled || null === $cut->length || false === $cloth->material->care?->mayBeWashed()) {
            return [];
        }
        $counted = ToCut::of($cloth, $cut, $this->assumptions)->washLoss();
        if ($counted->micrometres <= 0 || $counted->isLessThan($missing)) {
            return [];
        }

        return [
            new WayOut(
                new Sentence('Up to {length} is counted off for the wash: wash it and measure again before giving up.', [
                    'length' => Figure::owned($counted),
                ]),
                Remedy::Wash,
                $cut->id,
            ),
        ];
    }

    /** @return list<WayOut> */
    private function otherVersions(NeedRequest $wanted, ?Pattern $pattern, Cloth $cloth, Cut $cut, Length $available): array
    {
        return array_map(static fn (array $found): WayOut => new WayOut(
            new Sentence('Version “{version}” of the same pattern wants {length}, and fits on it.', [
                'version' => $found[0]->name,
                'length' => Figure::needed($found[1]->amount),
            ]),
            Remedy::TakeVersion,
            $found[0]->id,
        ), $this->versions($wanted, $pattern, $cloth, $cut, $available));
    }

    /** @return list<array{Version, Need}> other versions of a pattern that fit on a cut in the same size, and what each takes */
    public function versions(NeedRequest $wanted, ?Pattern $pattern, Cloth $cloth, Cut $cut, Length $available): array
    {
        $found = [];
        $on = CuttingCloth::cut($cloth, ToCut::of($cloth, $cut, $this->assumptions));
        foreach ($pattern->versions ?? [] as $version) {
            if ($version->id === $wanted->version?->id || null === $wanted->size || !$version->table->hasSize($wanted->size)) {
                continue;
            }
            $other = $wanted->in($version);
            $need = $this->estimator->estimate($other, $on);
            if ($need instanceof Need && null === $this->estimator->tooWide($other, $on) && !$available->isLessThan($need->amount)) {
                $found[] = [$version, $need];
            }
        }

        return $found;
    }
}
