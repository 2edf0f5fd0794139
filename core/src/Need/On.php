<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;

/** The side of the cloth that a need depends on. */
final readonly class On
{
    /**
     * @param ?Length $width   full width, null when not known
     * @param ?Length $repeat  of a print that may be matched
     * @param bool    $assumed nobody has stated the width
     * @param ?Length $usable  between the selvages after the wash; null when not known
     */
    public function __construct(
        public ?Length $width,
        public bool $oneWay = false,
        public ?Length $repeat = null,
        public bool $assumed = false,
        public ?Length $usable = null,
    ) {
    }

    public static function cut(Cloth $cloth, ToCut $toCut): self
    {
        return new self($toCut->full, $cloth->isOneWay(), $cloth->repeat, false, $toCut->width);
    }

    /** What pieces can be laid on, across: between the selvages, where they are not known those assumed; null without a width. */
    public function across(Length $selvage): ?Length
    {
        $across = $this->usable ?? $this->width?->minus($selvage->times(2));

        return null === $across || $across->micrometres <= 0 ? null : $across;
    }

    public function at(Length $width, ?Length $usable = null): self
    {
        return new self($width, $this->oneWay, $this->repeat, false, $usable);
    }
}
