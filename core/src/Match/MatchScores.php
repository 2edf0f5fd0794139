<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\Tenor;

/**
 * The rules' judgement of many cloths and many versions, as bare marks. A rule sees little of a cloth, so each is asked once for
 * every version and each of the few things it can see, and a pair's mark is a sum of what was said: a handful of additions, where
 * all rules would be asked anew. Cost: versions × rules × what they can see, then pairs × rules that speak of the version.
 */
final class MatchScores
{
    private const UNCLEAR = 1 << 10;
    private const GUESSED = 1 << 16;
    private const FAR_OFF = 1 << 20;
    private const REFUSED = 1 << 24;

    /** @var list<list<int>> what each rule sees of each cloth, numbered */
    private array $seen = [];

    /** @var list<array<int, array<int, int>>> of each version what the rules say, by what they see; silent rules left out */
    private array $said = [];

    /**
     * @param list<Traits> $cloths
     * @param list<Asks>   $versions
     */
    public function __construct(array $cloths, array $versions)
    {
        $kinds = [];
        $rules = (new Suit())->rules;
        foreach ($cloths as $cloth) {
            $seen = [];
            foreach ($rules as $i => $rule) {
                $sees = json_encode($rule->sees($cloth), \JSON_THROW_ON_ERROR);
                $kinds[$i][$sees] ??= [\count($kinds[$i] ?? []), $cloth];
                $seen[] = $kinds[$i][$sees][0];
            }
            $this->seen[] = $seen;
        }
        foreach ($versions as $asks) {
            $said = [];
            foreach ($rules as $i => $rule) {
                $marks = [];
                foreach ($kinds[$i] ?? [] as [$kind, $like]) {
                    $marks[$kind] = self::mark($rule->judge($like, $asks));
                }
                if ([0] !== array_values(array_unique($marks))) {
                    $said[$i] = $marks;
                }
            }
            $this->said[] = $said;
        }
    }

    /**
     * @return ?array{int, bool, bool} the points, whether nothing speaks against the pair, and whether the name does so clearly;
     *                                 null when it is refused
     */
    public function score(int $cloth, int $version): ?array
    {
        $seen = $this->seen[$cloth];
        $sum = 0;
        foreach ($this->said[$version] as $rule => $marks) {
            $sum += $marks[$seen[$rule]];
        }
        if ($sum >= self::REFUSED / 2) {
            return null;
        }
        $far = ($sum + self::UNCLEAR / 2) >> 20;
        $sum -= $far * self::FAR_OFF;
        $guessed = ($sum + self::UNCLEAR / 2) >> 16;
        $sum -= $guessed * self::GUESSED;
        $unclear = ($sum + self::UNCLEAR / 2) >> 10;

        return [$sum - $unclear * self::UNCLEAR, 0 === $unclear, $far > 0 && $guessed >= Judgement::GUESSES];
    }

    /** Points, doubts, guesses and refusals in one number: each stays far below what the next counts there. */
    private static function mark(?Reason $reason): int
    {
        return match ($reason?->tenor) {
            null => 0,
            Tenor::Refusal => self::REFUSED,
            Tenor::Question => $reason->points + self::UNCLEAR,
            Tenor::Doubt => $reason->points
                + self::UNCLEAR
                + Judgement::against($reason) * self::GUESSED
                + ($reason->off >= Judgement::FAR ? self::FAR_OFF : 0),
            Tenor::Praise, Tenor::Fact => $reason->points,
        };
    }
}
