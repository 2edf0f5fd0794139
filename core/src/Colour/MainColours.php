<?php

declare(strict_types=1);

namespace Octavum\Core\Colour;

/**
 * Finds the main colours of a picture: k-means in L*a*b* (Lloyd 1982), begun from the mean and then each time from the
 * sample farthest from all centres so far, which needs no chance; centres that look alike are joined.
 * Cost: samples × colours × rounds.
 */
final readonly class MainColours
{
    private const CENTRES = 6;
    private const ROUNDS = 12;
    private const ALIKE = 9.0;
    private const LEAST_SHARE = 0.04;

    /**
     * @param list<array{int, int, int}> $samples red, green, blue, 0 to 255 each; a few thousand are enough
     *
     * @return list<string> such as #27405e, the one that covers most first
     */
    public function find(array $samples, int $most = 4): array
    {
        if ([] === $samples) {
            return [];
        }
        $points = array_map(static fn (array $rgb): Lab => Lab::ofRgb(...$rgb), $samples);
        $centres = $this->begin($points);
        $groups = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $groups = [];
            foreach ($points as $point) {
                $groups[$this->nearest($point, $centres)[0]][] = $point;
            }
            $groups = array_values($groups);
            $centres = array_map($this->mean(...), $groups);
        }
        $counts = array_map(\count(...), $groups);
        arsort($counts);
        $found = [];
        foreach ($counts as $i => $count) {
            $alike = array_filter($found, static fn (Lab $other): bool => $other->difference($centres[$i]) < self::ALIKE);
            if ([] === $alike && $count >= self::LEAST_SHARE * \count($points)) {
                $found[] = $centres[$i];
            }
        }

        return array_map(static fn (Lab $lab): string => $lab->toHex(), \array_slice($found, 0, $most));
    }

    /**
     * @param non-empty-list<Lab> $points
     *
     * @return non-empty-list<Lab>
     */
    private function begin(array $points): array
    {
        $centres = [$this->mean($points)];
        while (\count($centres) < self::CENTRES) {
            $far = 0.0;
            $next = null;
            foreach ($points as $point) {
                $distance = $this->nearest($point, $centres)[1];
                if ($distance > $far) {
                    [$far, $next] = [$distance, $point];
                }
            }
            if (null === $next) {
                break;
            }
            $centres[] = $next;
        }

        return $centres;
    }

    /** @param non-empty-list<Lab> $points */
    private function mean(array $points): Lab
    {
        $l = $a = $b = 0.0;
        foreach ($points as $point) {
            [$l, $a, $b] = [$l + $point->l, $a + $point->a, $b + $point->b];
        }

        return new Lab($l / \count($points), $a / \count($points), $b / \count($points));
    }

    /**
     * @param non-empty-list<Lab> $centres
     *
     * @return array{int, float} which, and the square of how far in L*a*b*
     */
    private function nearest(Lab $point, array $centres): array
    {
        $nearest = [0, \INF];
        foreach ($centres as $i => $centre) {
            $distance = ($point->l - $centre->l) ** 2 + ($point->a - $centre->a) ** 2 + ($point->b - $centre->b) ** 2;
            $nearest = $distance < $nearest[1] ? [$i, $distance] : $nearest;
        }

        return $nearest;
    }
}
