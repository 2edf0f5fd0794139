<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Length;

/** Where a proposal stands. */
enum Group: string
{
    case MadeForIt = 'made for it';
    case WouldDo = 'possible';
    case Short = 'short';
    case Not = 'not, and why';

    /** Per cent of its need that may be missing before nobody tries to make it enough. A starting value of the house. */
    private const TOO_FAR = 40;

    /**
     * Of what is not refused.
     *
     * @param ?Length $spare below nought what is missing; null where the need or the length is not known
     * @param bool    $known how much it takes
     * @param bool    $clear nothing speaks against it and nothing is to be asked
     */
    public static function of(?Length $spare, bool $known, bool $clear, int $points): self
    {
        return match (true) {
            true === $spare?->isNegative() => self::Short,
            $known && $clear && $points > 0 => self::MadeForIt,
            default => self::WouldDo,
        };
    }

    public static function isTooFar(Length $missing, Length $need): bool
    {
        return $missing->micrometres * 100 > self::TOO_FAR * $need->micrometres;
    }
}
