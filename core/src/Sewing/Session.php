<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Measure\Sentence;

/** The same thing done for several projects in one go. */
final readonly class Session
{
    /**
     * @param list<Doable> $steps   of at least two projects
     * @param int          $minutes as far as anybody said
     * @param string       $detail  cloths to be washed by name; empty else
     * @param ?int         $grams   the load of a wash; null when a weight or a width is not known
     */
    public function __construct(
        public Sentence $title,
        public array $steps,
        public int $minutes,
        public string $detail = '',
        public ?int $grams = null,
    ) {
    }
}
