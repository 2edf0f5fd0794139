<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;

/** The weight of a cloth: a figure in g/m², or only a word for it. */
final readonly class Weight
{
    private function __construct(public ?int $grams, public WeightClass $class)
    {
    }

    /** @throws Unreadable outside 5 to 2000 g/m² */
    public static function ofGrams(int $grams): self
    {
        if ($grams < 5 || $grams > 2000) {
            throw Unreadable::because(
                '{grams} g/m² is no weight of a cloth: type a number from 5 to 2000, or leave it empty and choose a word.',
                ['grams' => $grams],
            );
        }

        return new self(
            $grams,
            match (true) {
                $grams < 80 => WeightClass::Sheer,
                $grams < 150 => WeightClass::Light,
                $grams < 250 => WeightClass::Medium,
                $grams <= 350 => WeightClass::Heavy,
                default => WeightClass::VeryHeavy,
            },
        );
    }

    /**
     * From a swatch: grams per cm² × 10 000, to the nearest gram.
     *
     * @throws Unreadable when it comes to no weight of a cloth
     */
    public static function ofSwatch(int $milligrams, Length $long, Length $wide): self
    {
        return self::ofGrams((int) round(($milligrams * 1e9) / max(1, $long->micrometres) / max(1, $wide->micrometres)));
    }

    public static function ofClass(WeightClass $class): self
    {
        return new self(null, $class);
    }
}
