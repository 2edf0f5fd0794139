<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Rule\BalloonRule;
use Octavum\Core\Match\Rule\BulkRule;
use Octavum\Core\Match\Rule\CreaseRule;
use Octavum\Core\Match\Rule\DrapeRule;
use Octavum\Core\Match\Rule\DryCleaningRule;
use Octavum\Core\Match\Rule\FineDetailRule;
use Octavum\Core\Match\Rule\FourWayStretchRule;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\LargeMotifRule;
use Octavum\Core\Match\Rule\LightSkirtRule;
use Octavum\Core\Match\Rule\MissingAdviceRule;
use Octavum\Core\Match\Rule\OneWayRule;
use Octavum\Core\Match\Rule\OpacityRule;
use Octavum\Core\Match\Rule\PreciousClothRule;
use Octavum\Core\Match\Rule\PurposeRule;
use Octavum\Core\Match\Rule\RawEdgeRule;
use Octavum\Core\Match\Rule\RecommendedFabricRule;
use Octavum\Core\Match\Rule\RecoveryRule;
use Octavum\Core\Match\Rule\RightSideRule;
use Octavum\Core\Match\Rule\Rule;
use Octavum\Core\Match\Rule\SkillRule;
use Octavum\Core\Match\Rule\StretchRule;
use Octavum\Core\Match\Rule\StructureRule;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Match\Rule\ToolRule;
use Octavum\Core\Match\Rule\WarmthRule;
use Octavum\Core\Match\Rule\WarningRule;
use Octavum\Core\Match\Rule\WearerWishRule;
use Octavum\Core\Match\Rule\WeightRule;
use Octavum\Core\Match\Rule\WrapInKnitRule;
use Octavum\Core\Match\Rule\WrongSideRule;

/**
 * Whether a cloth suits a version: all rules, one after another. Where one refuses, the others are not asked, unless the sewist
 * has overruled it.
 */
final readonly class Suit
{
    /** @var non-empty-list<Rule> those that refuse first */
    public array $rules;

    public function __construct()
    {
        $this->rules = [
            new StructureRule(),
            new StretchRule(),
            new FourWayStretchRule(),
            new WearerWishRule(),
            new DrapeRule(),
            new PurposeRule(),
            new WeightRule(),
            new RecommendedFabricRule(),
            new OpacityRule(),
            new RecoveryRule(),
            new CreaseRule(),
            new WarningRule(),
            new LargeMotifRule(),
            new FineDetailRule(),
            new WrongSideRule(),
            new RawEdgeRule(),
            new BulkRule(),
            new BalloonRule(),
            new LightSkirtRule(),
            new WrapInKnitRule(),
            new RightSideRule(),
            new PreciousClothRule(),
            new SkillRule(),
            new ToolRule(),
            new WarmthRule(),
            new DryCleaningRule(),
            new MissingAdviceRule(),
            new OneWayRule(),
        ];
    }

    /** @param ?string $overruled why the sewist says it will do; null where nothing was said */
    public function judge(Traits $cloth, Asks $asks, ?string $overruled = null): Judgement
    {
        $reasons = [];
        foreach ($this->rules as $rule) {
            $reason = $rule->judge($cloth, $asks);
            if (null === $reason) {
                continue;
            }
            $reasons[] = $reason;
            if (Tenor::Refusal === $reason->tenor && null === $overruled) {
                break;
            }
        }

        $judgement = new Judgement($reasons, isUnknown: $cloth->isUnknown());

        return null === $overruled ? $judgement : $judgement->overruled($overruled);
    }
}
