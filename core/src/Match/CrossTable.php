<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\NeedRequest;

/**
 * Every cut before every version: which suits and is enough, and which is short. Each pair stands where it stands when its cloth
 * is laid by itself (WhatItBecomes), less the points of what a use does to what is left. Cost: that of Marks and Amounts, then an
 * addition and a comparison a pair; nothing of a pair is kept.
 */
final readonly class CrossTable
{
    /** @param array<string, string> $overruled as Overrule::reasons() gives them */
    public function __construct(private Assumptions $assumptions, private array $overruled = [], private int $dear = Making::DEAR)
    {
    }

    /**
     * @param list<Cloth>           $cloths
     * @param list<Making>          $makings
     * @param array<string, Length> $promised to others, by cut
     *
     * @return \Generator<int, Paired> all that are not refused, cut by cut
     */
    public function pairs(array $cloths, array $makings, array $promised = []): \Generator
    {
        $traits = array_map(fn (Cloth $cloth): Traits => Traits::of($cloth, $this->dear), $cloths);
        $marks = new MatchScores($traits, array_map(static fn (Making $making): Asks => $making->asks, $makings));
        $amounts = new Amounts(array_map(static fn (Making $making): NeedRequest => $making->wanted(), $makings), $this->assumptions);
        foreach ($cloths as $i => $cloth) {
            $suits = $this->suits($marks, $i, $cloth, $traits[$i], $makings);
            $takes = [];
            foreach ($cloth->cuts as $cut) {
                if ($cut->gone) {
                    continue;
                }
                $toCut = ToCut::of($cloth, $cut, $this->assumptions);
                $free = $toCut->length?->minus($promised[$cut->id] ?? Length::zero())->larger(Length::zero());
                $wide = ($toCut->full->micrometres ?? '').' '.($toCut->width->micrometres ?? '');
                $takes[$wide] ??= $amounts->calculate(CuttingCloth::cut($cloth, $toCut), array_keys($suits));
                foreach ($takes[$wide] as $j => $amount) {
                    [$points, $clear, $unlikely] = $suits[$j];
                    $spare = null === $amount ? null : $free?->minus($amount);
                    $far = null !== $amount && true === $spare?->isNegative() && Group::isTooFar($spare->negated(), $amount);
                    if (!$far) {
                        $unknown = $traits[$i]->isUnknown();
                        $group = Group::of($spare, null !== $spare, $clear, $points, unlikely: $unlikely, unknown: $unknown);
                        yield new Paired($cloth, $cut, $makings[$j], version: $j, group: $group, points: $points, spare: $spare);
                    }
                }
            }
        }
    }

    /**
     * @param list<Making> $makings
     *
     * @return array<int, array{int, bool, bool}> as MatchScores says, of those that nothing refuses
     */
    private function suits(MatchScores $marks, int $at, Cloth $cloth, Traits $traits, array $makings): array
    {
        $suits = [];
        foreach ($makings as $j => $making) {
            $overruled = [] === $this->overruled ? null : $this->overruled[Overrule::key($cloth->id, $making->version->id)] ?? null;
            $mark = $marks->score($at, $j);
            if (null !== $overruled) {
                $judgement = (new Suit())->judge($traits, $making->asks, $overruled);
                $mark = [$judgement->points, $judgement->isClear(), false];
            }
            if (null !== $mark && null === $making->unfit) {
                $suits[$j] = $mark;
            }
        }

        return $suits;
    }
}
