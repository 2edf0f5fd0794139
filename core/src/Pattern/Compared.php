<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Sentence;

/** One thing in which two versions differ; null where a version has nothing of it. */
final readonly class Compared
{
    public function __construct(public Sentence $what, public Figure|Sentence|int|null $first, public Figure|Sentence|int|null $second)
    {
    }
}
