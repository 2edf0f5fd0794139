<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Measure\Length;

/** Pixels a metre along and across the cloth; one for all strips of a page. */
final readonly class Scale
{
    private function __construct(public float $along, public float $across, public float $room)
    {
    }

    /** For a list: as large as lets the longest be drawn in the room there is, within what can be read. */
    public static function row(?Length $longest, float $room = 388): self
    {
        return new self(self::fit($longest, $room, 62, 112), 24, $room);
    }

    public static function margin(?Length $longest, float $room = 262): self
    {
        return new self(self::fit($longest, $room, 40, 90), 24, $room);
    }

    public static function thumb(?Length $longest, float $room = 300): self
    {
        return new self(self::fit($longest, $room, 34, 72), 12, $room);
    }

    /** For the page of a project or a cloth: long, and half as high as the cloth is. */
    public static function panel(?Length $longest, float $room = 860): self
    {
        return new self(self::fit($longest, $room, 60, 250), 42, $room);
    }

    /** For Match: as long as the room lets it, so that lengths close to one another are told apart. */
    public static function roll(?Length $longest, float $room = 780): self
    {
        return new self(self::fit($longest, $room, 40, 420), 42, $room);
    }

    public function x(Length $length): float
    {
        return round(($length->micrometres / 1_000_000) * $this->along, 1);
    }

    public function y(Length $length): float
    {
        return round(($length->micrometres / 1_000_000) * $this->across, 1);
    }

    private static function fit(?Length $longest, float $room, float $least, float $most): float
    {
        $metres = max(0.5, ($longest->micrometres ?? 0) / 1_000_000);

        return max($least, min($most, ($room - 56) / $metres));
    }
}
