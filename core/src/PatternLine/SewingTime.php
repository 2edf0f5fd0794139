<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

use Octavum\Core\Measure\Numbers;

/** Time at the machine as people speak of it. Source of the minutes: docs/rules.md. */
final readonly class SewingTime
{
    private const MINUTES = ['evening' => 150, 'day' => 360, 'weekend' => 600];

    /** "an evening", "two days" or "weekend" in minutes; null when it is none of these. */
    public static function minutes(string $text): ?int
    {
        if (1 !== preg_match('/^(?:(an?|one|two|three|four|five)\s)?(evening|day|weekend)s?$/iu', $text, $found)) {
            return null;
        }

        return (int) (Numbers::WORDS[mb_strtolower($found[1])] ?? 1) * self::MINUTES[mb_strtolower($found[2])];
    }
}
