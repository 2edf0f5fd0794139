<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** Which way a figure is rounded: what is owned goes down, what is needed goes up. */
enum Rounding
{
    case Down;
    case Up;
    case Nearest;

    /**
     * The quotient as a whole number, exact for any signs.
     *
     * @throws \DivisionByZeroError
     */
    public function divide(int $dividend, int $divisor): int
    {
        if ($divisor < 0) {
            [$dividend, $divisor] = [-$dividend, -$divisor];
        }
        $floor = intdiv($dividend, $divisor);
        $rest = $dividend - $floor * $divisor;
        if ($rest < 0) {
            --$floor;
            $rest += $divisor;
        }

        return match ($this) {
            self::Down => $floor,
            self::Up => $rest > 0 ? $floor + 1 : $floor,
            self::Nearest => 2 * $rest >= $divisor ? $floor + 1 : $floor,
        };
    }
}
