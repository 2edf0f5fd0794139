<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Length;

/** The side of the cloth that a need depends on. */
final readonly class On
{
    /**
     * @param ?Length $width  full width, null when not known
     * @param ?Length $repeat of a print that is matched
     */
    public function __construct(public ?Length $width, public bool $oneWay = false, public ?Length $repeat = null)
    {
    }

    public static function cloth(Cloth $cloth): self
    {
        return new self($cloth->width?->full, $cloth->isOneWay(), $cloth->repeat);
    }

    public function at(Length $width): self
    {
        return new self($width, $this->oneWay, $this->repeat);
    }
}
