<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;

/** Lays a version before the whole stash: every cut for each role, those that suit and are enough first, remnants before whole lengths. */
final readonly class WhatWouldDo
{
    private Suit $suit;
    private Fitting $fitting;

    /** @param array<string, string> $overruled as Overrule::reasons() gives them */
    public function __construct(private Assumptions $assumptions, private array $overruled = [], private int $dear = Making::DEAR)
    {
        $this->suit = new Suit();
        $this->fitting = new Fitting($assumptions);
    }

    /**
     * @param list<Cloth>           $cloths
     * @param array<string, Length> $promised to others, by cut
     *
     * @return list<Proposal> each with its cut, the best first
     */
    public function propose(Making $making, Role $role, array $cloths, array $promised = []): array
    {
        $wanted = $making->wanted($role);
        $proposals = [];
        foreach ($cloths as $cloth) {
            $judgement = $this->judge($making, $role, $cloth);
            foreach ($cloth->cuts as $cut) {
                if ($cut->gone) {
                    continue;
                }
                $toCut = ToCut::of($cloth, $cut, $this->assumptions);
                $free = $toCut->length?->minus($promised[$cut->id] ?? Length::zero())->larger(Length::zero());
                $fit = $judgement->isRefused() ? null : $this->fitting->judge($wanted, CuttingCloth::cut($cloth, $toCut), $free);
                $proposals[] = $this->proposal($making, $judgement, $fit, cloth: $cloth, cut: $cut, free: $free);
            }
        }
        usort($proposals, Proposal::compare(...));

        return $proposals;
    }

    private function proposal(Making $making, Judgement $judgement, ?Fit $fit, Cloth $cloth, Cut $cut, ?Length $free): Proposal
    {
        $left = true === $fit?->isEnough() ? $fit->spare : null;
        $use = null === $left || null === $free ? null : Uses::up($left, $free);

        return new Proposal($making, $judgement, $fit, $left, use: $use, cloth: $cloth, cut: $cut, free: $free);
    }

    /** Swimwear, underwear and what is sewn from knits stretch, and so does their lining. */
    private function isKnitted(Making $making): bool
    {
        return Structure::Knit === $making->pattern->makes->onlyFor
            || \in_array($making->pattern->makes->garment, [Garment::Swimwear, Garment::Underwear, Garment::Bra, Garment::Tee], true);
    }

    private function judge(Making $making, Role $role, Cloth $cloth): Judgement
    {
        $traits = Traits::of($cloth, $this->dear);
        $reason = match ($role) {
            Role::Main, Role::Contrast, Role::Contrast2, Role::Contrast3 => null,
            Role::Lining, Role::Underlining => match (true) {
                ClothType::Lining === $cloth->material->type => Reason::praise(3, 'A cloth for linings.'),
                $traits->isKnit() && $this->isKnitted($making) => Reason::praise(2, 'A knit lining for a garment that stretches.'),
                Structure::Woven !== $cloth->material->structure => Reason::refusal(
                    'It would drag inside: this garment wants a woven lining.',
                ),
                $traits->isHeavy(), $traits->bulky => Reason::refusal('Too heavy for a lining.'),
                $traits->precious => Reason::doubt(2, 'Precious: too good for a lining.'),
                $traits->slips => Reason::praise(2, 'Smooth, as a lining wants it.'),
                default => Reason::doubt(2, 'It does not slip: a lining of it drags on the clothes under it.'),
            },
            Role::Ribbing => match (true) {
                ClothType::Rib === $cloth->material->type => Reason::praise(3, 'A cloth for bands.'),
                !$traits->isKnit() => Reason::refusal('Bands want a knit.'),
                ($cloth->material->feel->across ?? 0) >= 50 => Reason::praise(1, 'Stretches far enough for bands.'),
                default => Reason::question(null, 'Does it stretch to half as much again? Bands want that.'),
            },
            Role::Pocketing => match (true) {
                $traits->isHeavy(), $traits->isKnit() => Reason::refusal('Pocket bags want something thin and woven.'),
                true === $cloth->material->type?->hasNap(), $traits->bulky => Reason::refusal(
                    'Too thick for pocket bags: they would show through.',
                ),
                'pockets' === $traits->meantFor => Reason::praise(3, 'A cloth for pockets.'),
                Opacity::Sheer === $traits->opacity() => Reason::doubt(2, 'Too thin for pocket bags: they would wear through.'),
                $traits->isLight() => Reason::praise(2, 'Thin and woven, as pocket bags want it.'),
                null === $traits->weight => Reason::question(null, 'Is it thin and firm? Pocket bags want that.'),
                default => Reason::doubt(1, 'Rather thick for pocket bags.'),
            },
            default => Reason::question(null, 'This cannot be judged from here: hold it to the main cloth.'),
        };

        $overruled = $this->overruled[Overrule::key($cloth->id, $making->version->id)] ?? null;

        return null === $reason ? $this->suit->judge($traits, $making->asks, $overruled) : new Judgement([$reason]);
    }
}
