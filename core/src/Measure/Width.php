<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** The width of a cloth: full, as sold, and what is left between the selvages. */
final readonly class Width
{
    /** In micrometres: nothing narrower or wider is sold as cloth. */
    private const BETWEEN = [200_000, 3_300_000];

    private const WIDEST = 10_000_000;

    private function __construct(public Length $full, public Length $selvage)
    {
    }

    /** @throws Unreadable when the selvages leave nothing, or it is wider than anything that can be laid */
    public static function of(Length $full, Length $selvage): self
    {
        if ($full->micrometres > self::WIDEST) {
            throw Unreadable::because(
                'A width of {width} cannot be: no cloth is wider than 10 m. Is the unit right?',
                ['width' => Figure::width($full)],
            );
        }
        if (!$selvage->times(2)->isLessThan($full)) {
            throw Unreadable::because(
                'Two selvages of {selvage} leave nothing of a width of {width}: check both.',
                ['selvage' => Figure::width($selvage), 'width' => Figure::width($full)],
            );
        }

        return new self($full, $selvage);
    }

    /** Whether a cloth can be so wide: 20 to 330 cm. */
    public static function isBelievable(Length $full): bool
    {
        return $full->micrometres >= self::BETWEEN[0] && $full->micrometres <= self::BETWEEN[1];
    }

    public function usable(): Length
    {
        return $this->full->minus($this->selvage->times(2));
    }
}
