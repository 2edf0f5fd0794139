<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Working;

/** A length that is needed, how it is known, and its arithmetic. */
final readonly class Need
{
    /**
     * @param \Closure(): Working $working       written when it is asked for: a whole library is estimated at a time
     * @param list<Sentence>      $warnings
     * @param ?Length             $secondOpinion what the area between the rows would suggest
     */
    public function __construct(
        public Length $amount,
        public NeedSource $way,
        private \Closure $working,
        public array $warnings = [],
        public ?Length $secondOpinion = null,
    ) {
    }

    public function working(): Working
    {
        return ($this->working)();
    }
}
