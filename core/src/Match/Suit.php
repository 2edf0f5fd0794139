<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

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
            new Rule\StructureRule(),
            new Rule\StretchRule(),
            new Rule\FourWayStretchRule(),
            new Rule\WearerWishRule(),
            new Rule\DrapeRule(),
            new Rule\PurposeRule(),
            new Rule\WeightRule(),
            new Rule\RecommendedFabricRule(),
            new Rule\OpacityRule(),
            new Rule\RecoveryRule(),
            new Rule\CreaseRule(),
            new Rule\WarningRule(),
            new Rule\LargeMotifRule(),
            new Rule\FineDetailRule(),
            new Rule\WrongSideRule(),
            new Rule\RawEdgeRule(),
            new Rule\BulkRule(),
            new Rule\BalloonRule(),
            new Rule\LightSkirtRule(),
            new Rule\WrapInKnitRule(),
            new Rule\RightSideRule(),
            new Rule\PreciousClothRule(),
            new Rule\SkillRule(),
            new Rule\ToolRule(),
            new Rule\WarmthRule(),
            new Rule\DryCleaningRule(),
            new Rule\MissingAdviceRule(),
            new Rule\OneWayRule(),
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

        $judgement = new Judgement($reasons);

        return null === $overruled ? $judgement : $judgement->overruled($overruled);
    }
}
