<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Piece\Role;

/** The side of the cloth that a need depends on. */
final readonly class CuttingCloth
{
    /**
     * @param ?Length $width   full width, null when not known
     * @param ?Length $repeat  of a print that may be matched
     * @param bool    $assumed nobody has stated the width
     * @param ?Length $usable  between the selvages after the wash; null when not known
     * @param bool    $alike   its print is the same turned by 180°
     */
    public function __construct(
        public ?Length $width,
        public bool $oneWay = false,
        public ?Length $repeat = null,
        public bool $assumed = false,
        public ?Length $usable = null,
        public bool $alike = false,
    ) {
    }

    public static function cut(Cloth $cloth, ToCut $toCut): self
    {
        $alike = Direction::TwoWay === $cloth->direction;

        return new self($toCut->full, $cloth->isOneWay(), $cloth->look->repeat, assumed: false, usable: $toCut->width, alike: $alike);
    }

    /** What pieces can be laid on, across: between the selvages, where they are not known those assumed; null without a width. */
    public function across(Length $selvage): ?Length
    {
        $across = $this->usable ?? $this->width?->minus($selvage->times(2));

        return null === $across || $across->micrometres <= 0 ? null : $across;
    }

    /** What the pieces of a role are laid on, with its repeat where that is matched; null without a width. */
    public function surface(Role $role, ?Matching $matching, Assumptions $assumptions): ?LaySurface
    {
        $across = $this->across($assumptions->selvage);
        $repeat = $role->isMatched($matching ?? $assumptions->matching) ? $this->repeat : null;

        return null === $across ? null : new LaySurface($across, $this->oneWay, $repeat, $this->alike);
    }

    public function at(Length $width, ?Length $usable = null): self
    {
        return new self($width, $this->oneWay, $this->repeat, assumed: false, usable: $usable, alike: $this->alike);
    }
}
