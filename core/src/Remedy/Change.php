<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** One thing that may be done about a shortfall, as it changes what is laid. */
final readonly class Change
{
    /** Its key without how much it is, or of what. */
    public string $kind;

    /** @var list<string> pieces that do not come from this cloth any more */
    public array $off;

    /**
     * @param Sentence                  $costs  in look or work
     * @param int                       $harm   how much it is seen, 0 not at all
     * @param list<string>              $pieces it concerns, by name
     * @param ?\Closure(Laying): Laying $shapes them otherwise; null where they come from elsewhere
     * @param ?Elsewhere                $from   where they come from, when that is known
     * @param ?Length                   $takes  what they take there
     */
    public function __construct(
        public string $key,
        public Sentence $words,
        public Sentence $costs,
        public int $harm,
        public array $pieces,
        private ?\Closure $shapes = null,
        public ?Elsewhere $from = null,
        public ?Length $takes = null,
    ) {
        $this->kind = substr($key, 0, false === ($end = strrpos($key, ':')) ? null : $end);
        $this->off = null === $shapes ? $pieces : [];
    }

    public function apply(Laying $laying): Laying
    {
        return null === $this->shapes ? $laying->without($this->pieces) : ($this->shapes)($laying);
    }

    /** Two of which one takes away all that the other is about cannot both be done, nor two that take the same. */
    public function excludes(self $other): bool
    {
        return [] !== array_intersect($this->off, $other->off)
            || self::takes($this, $other)
            || self::takes($other, $this);
    }

    private static function takes(self $one, self $other): bool
    {
        return [] !== $one->off && [] !== $other->pieces && [] === array_diff($other->pieces, $one->off);
    }
}
