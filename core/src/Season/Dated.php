<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Sentence;

/** Something of a plan that has a day. */
final readonly class Dated
{
    /** @param string $key tells it from all others, and stays the same while its day moves */
    public function __construct(public string $key, public \DateTimeImmutable $on, public Sentence $sentence)
    {
    }
}
