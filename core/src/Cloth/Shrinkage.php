<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Source;

/**
 * How much a cloth may lose in its first wash, along and across. Source of the figures: the workroom's rules, section 3;
 * a blend counts each fibre by its share, elastane follows its partner, and an unknown fibre counts as the one that
 * shrinks most.
 */
final readonly class Shrinkage
{
    private function __construct(public Percent $along, public Percent $across, public Source $source, public bool $fibreUnknown)
    {
    }

    public static function tested(Percent $along, Percent $across): self
    {
        return new self($along, $across, Source::Tested, false);
    }

    public static function expected(FibreMix $fibres, Structure $structure, ?ClothType $type): self
    {
        $counted = array_diff_key($fibres->shares, [Fibre::Elastane->value => 0]);
        if ([] === $counted) {
            [$along, $across] = self::figures(Fibre::Other, $structure, $type);

            return new self(Percent::ofHundredths($along), Percent::ofHundredths($across), Source::Assumed, true);
        }
        $along = $across = 0;
        foreach ($counted as $fibre => $share) {
            $figures = self::figures(Fibre::from($fibre), $structure, $type);
            $along += $share * $figures[0];
            $across += $share * $figures[1];
        }
        $whole = array_sum($counted);

        return new self(
            Percent::ofHundredths(Rounding::Up->divide($along, $whole)),
            Percent::ofHundredths(Rounding::Up->divide($across, $whole)),
            Source::Assumed,
            isset($counted[Fibre::Other->value]),
        );
    }

    /** @return array{int, int} hundredths of a per cent along and across */
    private static function figures(Fibre $fibre, Structure $structure, ?ClothType $type): array
    {
        $knit = Structure::Knit === $structure;
        $brushed = ClothType::Flannel === $type;

        return match ($fibre) {
            Fibre::Cotton => match (true) {
                $brushed => [800, 400],
                ClothType::Denim === $type => [500, 200],
                $knit => [600, 400],
                default => [400, 200],
            },
            Fibre::Linen, Fibre::Hemp => [500, 300],
            Fibre::Viscose => $knit ? [600, 400] : [600, 300],
            Fibre::Lyocell, Fibre::Modal => [300, 200],
            Fibre::Wool => [400, 300],
            Fibre::Silk => [400, 200],
            Fibre::Polyester, Fibre::Nylon, Fibre::Acrylic, Fibre::Elastane => [100, 50],
            Fibre::Other => match (true) {
                $brushed => [800, 400],
                $knit => [600, 400],
                default => [600, 300],
            },
        };
    }
}
