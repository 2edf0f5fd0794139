<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Measure\Length;

/** What a line of a haul says of the print and the colours. */
final readonly class HaulLook
{
    /** @param list<string> $colours #rrggbb */
    public function __construct(
        public PrintKind $print = PrintKind::Plain,
        public ?Direction $direction = null,
        public ?Length $repeat = null,
        public array $colours = [],
    ) {
    }

    /**
     * Filled in by another, where this one says nothing.
     *
     * @param ?Direction $noted as a remark says, where neither says one
     */
    public function or(?self $other, ?Direction $noted): self
    {
        return new self(
            PrintKind::Plain === $this->print && null !== $other ? $other->print : $this->print,
            $this->direction ?? ($other->direction ?? $noted),
            $this->repeat,
            [] === $this->colours ? $other->colours ?? [] : $this->colours,
        );
    }
}
