<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

use Octavum\Core\Pattern\RequirementTable;

/**
 * What was sewn of a pattern before and counts for a making of it. Tried and true is a version for a person in a size, or one beside
 * it, that turned out well. What turned out badly for the person is never experience: it is a doubt, until the same was sewn well
 * after it. Source: docs/rules.md.
 */
final readonly class Experience
{
    /**
     * @param int         $good how often it turned out well
     * @param ?MadeBefore $bad  the last that turned out badly, where none turned out well since
     * @param int         $open how often it was sewn and nobody has noted how it turned out
     */
    private function __construct(public int $good = 0, public ?MadeBefore $bad = null, public int $open = 0)
    {
    }

    /**
     * @param list<MadeBefore> $made of the pattern
     * @param ?string          $size null where none is chosen yet: then any counts
     */
    public static function of(array $made, string $version, RequirementTable $table, ?string $person, ?string $size): self
    {
        usort($made, static fn (MadeBefore $a, MadeBefore $b): int => $a->on <=> $b->on);
        $good = $open = 0;
        $bad = null;
        foreach ($made as $one) {
            $isSame = $one->version === $version && $one->person === $person && self::isNear($table->sizes, $one->size, $size);
            if (false === $one->isGood && $one->person === $person) {
                $bad = $one;
            } elseif ($isSame && true === $one->isGood) {
                ++$good;
                $bad = null;
            } elseif ($isSame && null === $one->isGood) {
                ++$open;
            }
        }

        return new self(null === $bad ? $good : 0, $bad, $open);
    }

    /** @param list<string> $sizes in the order printed */
    private static function isNear(array $sizes, ?string $a, ?string $b): bool
    {
        [$at, $to] = [array_search($a, $sizes, true), array_search($b, $sizes, true)];

        return null === $a || null === $b || $a === $b || (\is_int($at) && \is_int($to) && abs($at - $to) <= 1);
    }
}
