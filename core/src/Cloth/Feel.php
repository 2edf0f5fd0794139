<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Unreadable;

/** How a cloth stretches, falls, hides and presses, as far as anybody has said. Source: docs/rules.md. */
final readonly class Feel
{
    private const MOST = 300;

    /**
     * @param ?int  $across      per cent it stretches across: 10 cm that come to 14 are 40
     * @param ?int  $along       likewise along
     * @param ?bool $takesCrease whether it can be pressed into a pleat
     * @param ?bool $clearSide   whether the right side shows
     * @param ?bool $backSeen    whether its back is fit to be seen
     *
     * @throws Unreadable for a stretch that cannot be
     */
    public function __construct(
        public ?int $across = null,
        public ?int $along = null,
        public ?Drape $drape = null,
        public ?Opacity $opacity = null,
        public ?bool $takesCrease = null,
        public ?bool $clearSide = null,
        public ?Recovery $recovery = null,
        public ?Edges $edges = null,
        public ?bool $backSeen = null,
    ) {
        foreach ([$across, $along] as $stretch) {
            if (null !== $stretch && ($stretch < 0 || $stretch > self::MOST)) {
                throw Unreadable::because(
                    '{percent} % is no stretch of a cloth: 10 cm that come to 14 cm are 40 %.',
                    ['percent' => $stretch],
                );
            }
        }
    }

    /**
     * The stretch test: what a length comes to when it is pulled without strain, rounded down.
     *
     * @throws Unreadable when it got shorter
     */
    public static function stretch(Length $from, Length $to): int
    {
        if ($to->isLessThan($from) || 0 === $from->micrometres) {
            throw Unreadable::because('Pulled, it cannot be shorter than before: type both lengths again, such as 10 cm and 14 cm.');
        }

        return Rounding::Down->divide(100 * ($to->micrometres - $from->micrometres), $from->micrometres);
    }

    public function stretching(?int $across, ?int $along): self
    {
        return $this->with($across, $along, $this->drape, $this->opacity, $this->takesCrease);
    }

    public function falling(Drape $drape): self
    {
        return $this->with($this->across, $this->along, $drape, $this->opacity, $this->takesCrease);
    }

    public function hiding(Opacity $opacity): self
    {
        return $this->with($this->across, $this->along, $this->drape, $opacity, $this->takesCrease);
    }

    public function pressing(bool $takesCrease): self
    {
        return $this->with($this->across, $this->along, $this->drape, $this->opacity, $takesCrease);
    }

    private function with(?int $across, ?int $along, ?Drape $drape, ?Opacity $opacity, ?bool $takesCrease): self
    {
        return new self(
            $across,
            $along,
            $drape,
            opacity: $opacity,
            takesCrease: $takesCrease,
            clearSide: $this->clearSide,
            recovery: $this->recovery,
            edges: $this->edges,
            backSeen: $this->backSeen,
        );
    }
}
