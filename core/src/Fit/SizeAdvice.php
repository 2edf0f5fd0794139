<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Working;

/** Which size of a pattern a person takes. */
final readonly class SizeAdvice
{
    /**
     * @param ?string        $size     null when the chart or the measurements do not tell
     * @param ?string        $gradedTo the largest size used, where points of the body fall in different sizes
     * @param ?string        $up       one size more, for a child to grow into
     * @param list<Sentence> $flags    what to think of before cutting
     */
    public function __construct(
        public Person $person,
        public ?string $size,
        public ?string $gradedTo,
        public ?string $up,
        public Sentence $sentence,
        public array $flags,
        public Working $working,
    ) {
    }
}
