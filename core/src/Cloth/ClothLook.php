<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;

/** How a cloth looks: its print and its colours. */
final readonly class ClothLook
{
    /**
     * @param ?Direction   $direction as stated; null when nobody has said
     * @param ?Length      $repeat    length of the print's repeat, along the cloth
     * @param ?Length      $motif     how large the figures of its print are
     * @param list<string> $colours   #rrggbb, ground colour first
     */
    public function __construct(
        public PrintKind $print = PrintKind::Plain,
        public ?Direction $direction = null,
        public ?Length $repeat = null,
        public ?Length $motif = null,
        public array $colours = [],
    ) {
    }

    /** Print, direction and colours filled in by another, where this one says nothing. */
    public function or(?self $other): self
    {
        return null === $other ? $this : new self(
            PrintKind::Plain === $this->print ? $other->print : $this->print,
            $this->direction ?? $other->direction,
            $this->repeat,
            $this->motif,
            [] === $this->colours ? $other->colours : $this->colours,
        );
    }

    /** Its direction as noted elsewhere, where this one says nothing. */
    public function orDirection(?Direction $noted): self
    {
        return new self($this->print, $this->direction ?? $noted, $this->repeat, $this->motif, $this->colours);
    }
}
