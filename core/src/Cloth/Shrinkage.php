<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Unreadable;

/**
 * How much a cloth may lose in its first wash, along and across. Source of the figures: docs/rules.md;
 * a blend counts each fibre by its share, and the one that shrinks most where the shares are not known; elastane follows
 * its partner, and an unknown fibre counts the most its structure and finish allow.
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

    /** Of cloth that is never washed: what the iron's steam takes. */
    public static function steamed(): self
    {
        return new self(Percent::of(1), Percent::of(1), Source::Assumed, false);
    }

    public static function none(): self
    {
        return new self(Percent::of(0), Percent::of(0), Source::Assumed, false);
    }

    /**
     * From a test square: (before − after) / before, each way.
     *
     * @throws Unreadable when it grew, or lost more than half
     */
    public static function square(Length $before, Length $along, Length $across): self
    {
        $lost = static function (Length $after) use ($before): Percent {
            $hundredths = Rounding::Up->divide(10_000 * ($before->micrometres - $after->micrometres), max(1, $before->micrometres));
            if ($hundredths < 0 || $hundredths > 5_000) {
                throw Unreadable::because(
                    'A square of {before} that measures {after} after the wash cannot be: check which is which.',
                    ['before' => Figure::body($before), 'after' => Figure::body($after)],
                );
            }

            return Percent::ofHundredths($hundredths);
        };

        return self::tested($lost($along), $lost($across));
    }

    /** @param ?FibreFamily $family when nothing more is known; its fibre that shrinks most is counted */
    public static function expected(FibreMix $fibres, Structure $structure, ?ClothType $type, ?FibreFamily $family = null): self
    {
        $counted = array_diff_key($fibres->shares, [Fibre::Elastane->value => 0]);
        if ([] === $counted || !$fibres->sharesKnown()) {
            $named = array_map(static fn (string $fibre): Fibre => Fibre::from($fibre), array_keys($counted));
            $of = [] === $named ? $family?->fibres() ?? [Fibre::Other] : $named;
            $figures = array_map(static fn (Fibre $fibre): array => self::figures($fibre, $structure, $type), $of);
            [$along, $across] = [max(array_column($figures, 0)), max(array_column($figures, 1))];

            return new self(
                Percent::ofHundredths($along),
                Percent::ofHundredths($across),
                Source::Assumed,
                [] === $named || \in_array(Fibre::Other, $named, true),
            );
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
        $brushed = true === $type?->isBrushed();

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
