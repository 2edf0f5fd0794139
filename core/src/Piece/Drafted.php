<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Shape\Outline;

/** A shape drawn from a handful of measurements. */
final readonly class Drafted
{
    /** Of an inch, mm. */
    private const EIGHTH = 3.175;

    /** @param array<string, float> $measures by name, in the unit of each */
    private function __construct(public Draft $draft, public array $measures, public Outline $outline)
    {
    }

    /**
     * @param array<string, float|int> $measures in the unit of each; the usual one for each that is missing
     *
     * @throws Unreadable when one cannot be, or no piece comes of them together
     */
    public static function of(Draft $draft, array $measures): self
    {
        $all = [];
        foreach ($draft->measures() as $measure) {
            $value = (float) ($measures[$measure->name] ?? $measure->usual);
            if ($value < $measure->least || $value > $measure->most) {
                throw Unreadable::because(
                    '{measure}: {value} {unit} cannot be; from {least} to {most} {unit} can.',
                    [
                        'measure' => ucfirst($measure->name),
                        'value' => (string) round($value, 1),
                        'unit' => $measure->unit,
                        'least' => (string) $measure->least,
                        'most' => (string) $measure->most,
                    ],
                );
            }
            $all[$measure->name] = $value;
        }

        try {
            return new self($draft, $all, Outline::of($draft->points($all)));
        } catch (\InvalidArgumentException) {
            throw Unreadable::because(
                'These measurements do not go together: the outline would cross itself. Look at the one that is much larger or smaller than the others.',
            );
        }
    }

    /**
     * Whether it stands as it was offered, in usual proportions, but for what is lost when these are written in eighths of an inch:
     * nobody has measured it. A box is offered without measurements.
     */
    public function isUsual(): bool
    {
        foreach ($this->draft->measures() as $measure) {
            if (abs($this->measures[$measure->name] - $measure->usual) > self::EIGHTH / 2) {
                return false;
            }
        }

        return Draft::Box !== $this->draft;
    }
}
