<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Measure\Unreadable;

/**
 * What reading one drawing may cost, in points looked at: every element drawn, every point, and every comparison of points
 * is paid from it, so that no file, however it is nested or repeated, takes longer than a moment.
 *
 * @internal
 */
final class Budget
{
    public function __construct(private int $left = 2_500_000)
    {
    }

    /** @throws Unreadable when it is spent */
    public function spend(int $points): void
    {
        if (($this->left -= $points) < 0) {
            throw Unreadable::because(
                'This drawing holds more lines and points than can be read here: save the pieces alone, without the rest of the drawing, or a few at a time.',
            );
        }
    }
}
