<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Sewing\PathStage;
use Octavum\Core\Sewing\PathStop;

/** Spaces the stops of a path, a stage twice as far as a step, and names those for which there is room. */
final readonly class PathDrawing
{
    /** Pixels that a wide page and a narrower one have, and that a letter takes. */
    private const WIDE = 900;
    private const NARROW = 640;
    private const LETTER = 7.0;
    private const APART = 8;

    /**
     * @param non-empty-list<PathStop> $stops
     *
     * @return list<PathMark>
     */
    public function draw(array $stops): array
    {
        $next = array_search(false, array_map(static fn (PathStop $stop): bool => $stop->done, $stops), true);
        $always = $this->labelled($stops, self::NARROW, $next);
        $wide = $this->labelled($stops, self::WIDE, $next);
        $marks = [];
        foreach ($stops as $i => $stop) {
            $label = isset($always[$i]) ? 'always' : (isset($wide[$i]) ? 'wide' : 'never');
            $marks[] = new PathMark($stop, $i === $next, $label, $this->part($stop->stage));
        }

        return $marks;
    }

    /**
     * The next stop first, then those with a pin, then the stages, then the steps.
     *
     * @param non-empty-list<PathStop> $stops
     *
     * @return array<int, true> by place
     */
    private function labelled(array $stops, int $room, int|false $next): array
    {
        $order = array_keys($stops);
        $urgency = static fn (int $i): array => [
            $i !== $next,
            [] === $stops[$i]->pins,
            PathStage::Step === $stops[$i]->stage,
            $i,
        ];
        usort($order, static fn (int $a, int $b): int => $urgency($a) <=> $urgency($b));
        $weights = array_map(static fn (PathStop $stop): int => PathStage::Step === $stop->stage ? 1 : 2, $stops);
        $unit = $room / array_sum($weights);
        $taken = $labelled = [];
        foreach ($order as $i) {
            $stop = $stops[$i];
            $half = (self::LETTER * mb_strlen('' === $stop->name ? $stop->stage->value : $stop->name) + self::APART) / 2;
            $middle = $unit * (array_sum(\array_slice($weights, 0, $i)) + $weights[$i] / 2);
            $overlaps = array_filter($taken, static fn (array $other): bool => $middle - $half < $other[1] && $middle + $half > $other[0]);
            if ([] === $overlaps && $middle - $half >= -self::APART && $middle + $half <= $room + self::APART) {
                $taken[] = [$middle - $half, $middle + $half];
                $labelled[$i] = true;
            }
        }

        return $labelled;
    }

    private function part(PathStage $stage): string
    {
        $part = match ($stage) {
            PathStage::Planned => ProjectPart::Pattern,
            PathStage::Enough, PathStage::Washed, PathStage::BeforeCutting, PathStage::CutOut => ProjectPart::Cloth,
            PathStage::Toile, PathStage::Step, PathStage::Worn => ProjectPart::Sewing,
        };

        return $part->value;
    }
}
