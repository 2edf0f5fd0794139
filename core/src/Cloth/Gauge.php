<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;

/** Other ways to know a length than a tape, each an estimate, rounded down. Source: docs/rules.md. */
final readonly class Gauge
{
    /**
     * Mass / (weight × width).
     *
     * @param int $milligrams of the whole cut
     *
     * @throws Unreadable without a weight in figures, or when it comes to nothing
     */
    public function byWeight(int $milligrams, Weight $weight, Width $width): Length
    {
        if (null === $weight->grams) {
            throw Unreadable::because('Its weight is known only as a word: weigh a swatch first.');
        }

        // mg ÷ g/m² is in thousandths of a m²; a m² is 10⁶ µm × 10⁶ µm.
        return $this->some(($milligrams * 1e9) / $weight->grams / $width->full->micrometres);
    }

    /**
     * Layers counted on one side of a bolt × one wrap round its board, 2 × (board + thickness of what is wound on it).
     *
     * @throws Unreadable when it comes to nothing
     */
    public function onBolt(int $layers, Length $board, Length $thickness): Length
    {
        return $this->some($layers * $board->plus($thickness)->times(2)->micrometres);
    }

    /** @throws Unreadable */
    private function some(float|int $micrometres): Length
    {
        if ($micrometres < 1 || $micrometres > Length::LONGEST) {
            throw Unreadable::because('That does not come to a length a cut can have: check the figures.');
        }

        return Length::ofMicrometres((int) $micrometres);
    }
}
