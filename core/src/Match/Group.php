<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Length;

/** Where a proposal stands. */
enum Group: string
{
    case MadeForIt = 'made for it';
    case WouldDo = 'possible';
    case Unknown = 'not known';
    case Short = 'short';
    case Unlikely = 'won’t work, as far as is known';
    case Not = 'not, and why';

    /** Per cent of its need that may be missing before nobody tries to make it enough. A starting value of the house. */
    private const TOO_FAR = 40;

    /**
     * Of what is not refused.
     *
     * @param ?Length $spare    below nought what is missing; null where the need or the length is not known
     * @param bool    $known    how much it takes
     * @param bool    $clear    nothing speaks against it and nothing is to be asked
     * @param bool    $unlikely what the name of the cloth tells speaks clearly against it
     * @param bool    $unknown  nothing is known of the cloth
     */
    public static function of(?Length $spare, bool $known, bool $clear, int $points, bool $unlikely = false, bool $unknown = false): self
    {
        return match (true) {
            $unlikely => self::Unlikely,
            true === $spare?->isNegative() => self::Short,
            $known && $clear && $points > 0 => self::MadeForIt,
            $unknown => self::Unknown,
            default => self::WouldDo,
        };
    }

    /** The better comes first. */
    public function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** Nothing refuses it, and nothing known of the cloth speaks clearly against it. */
    public function mayBe(): bool
    {
        return self::Not !== $this && self::Unlikely !== $this;
    }

    public static function isTooFar(Length $missing, Length $need): bool
    {
        return $missing->micrometres * 100 > self::TOO_FAR * $need->micrometres;
    }
}
