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
            new Rule\Made(),
            new Rule\Stretch(),
            new Rule\StretchAlong(),
            new Rule\Wishes(),
            new Rule\Falls(),
            new Rule\MeantFor(),
            new Rule\Heaviness(),
            new Rule\Recommended(),
            new Rule\SeenThrough(),
            new Rule\SpringsBack(),
            new Rule\Pressed(),
            new Rule\WarnedOf(),
            new Rule\LargeFigures(),
            new Rule\FineDetail(),
            new Rule\Back(),
            new Rule\CutEdges(),
            new Rule\Bulk(),
            new Rule\Balloon(),
            new Rule\BlowsUp(),
            new Rule\WrapInKnit(),
            new Rule\RightSide(),
            new Rule\Risk(),
            new Rule\Skills(),
            new Rule\Tools(),
            new Rule\Days(),
            new Rule\Cleaning(),
            new Rule\Silent(),
            new Rule\OneWay(),
        ];
    }

    /** @param ?string $overruled why the sewist says it will do; null where nothing was said */
    public function of(Traits $cloth, Asks $asks, ?string $overruled = null): Judgement
    {
        $reasons = [];
        foreach ($this->rules as $rule) {
            $reason = $rule->of($cloth, $asks);
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
