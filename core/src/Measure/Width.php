<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** The width of a cloth: full, as sold, and what is left between the selvages. */
final readonly class Width
{
    private function __construct(public Length $full, public Length $selvage)
    {
    }

    /** @throws Unreadable when the selvages leave nothing */
    public static function of(Length $full, Length $selvage): self
    {
        if (!$selvage->times(2)->isLessThan($full)) {
            throw new Unreadable(new Sentence('Two selvages of {selvage} leave nothing of a width of {width}: check both.', ['selvage' => Figure::width($selvage), 'width' => Figure::width($full)]));
        }

        return new self($full, $selvage);
    }

    public function usable(): Length
    {
        return $this->full->minus($this->selvage->times(2));
    }
}
