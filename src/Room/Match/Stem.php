<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Match\Proposal;
use Octavum\Core\Measure\Length;

/** A version hanging from the roll at the length it needs, in pixels. */
final readonly class Stem
{
    /** @param ?Length $missing of one that hangs past the end */
    public function __construct(
        public Proposal $proposal,
        public float $x,
        public float $y,
        public string $name,
        public bool $doubt,
        public ?Length $missing,
    ) {
    }
}
