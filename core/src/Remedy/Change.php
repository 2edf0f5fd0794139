<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Sentence;

/** One thing that may be done about a shortfall, as it changes what is laid. */
final readonly class Change
{
    /**
     * @param Sentence                 $costs in look or work
     * @param int                      $harm  how much it is seen, 0 not at all
     * @param list<string>             $off   pieces that do not come from this cloth any more
     * @param \Closure(Laying): Laying $apply
     */
    public function __construct(
        public string $key,
        public Sentence $words,
        public Sentence $costs,
        public int $harm,
        public array $off,
        private \Closure $apply,
    ) {
    }

    public function apply(Laying $laying): Laying
    {
        return ($this->apply)($laying);
    }
}
