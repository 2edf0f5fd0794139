<?php

declare(strict_types=1);

namespace Octavum\Room\Gate;

use Octavum\Core\Measure\Length;

/** What the scissors took of a cut, and what they left. */
final readonly class Taken
{
    /**
     * @param Length                      $used     along the cloth
     * @param list<array{Length, Length}> $remnants length and width of each
     * @param string                      $spoilt   what went wrong, in words
     * @param ?Length                     $again    that it takes to cut what was spoilt once more
     * @param ?Length                     $asked    by the envelope; null where no table says
     */
    public function __construct(
        public Length $used,
        public array $remnants,
        public string $spoilt,
        public ?Length $again = null,
        public ?Length $asked = null,
    ) {
    }
}
