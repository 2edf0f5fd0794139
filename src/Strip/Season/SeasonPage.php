<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Deadlines;
use Octavum\Core\Season\Mix;

/** A checked season as season/show.html.twig draws it. */
final readonly class SeasonPage
{
    /** Snags that stand there at once; the others are fetched. */
    public const SHOWN = 6;

    /** Whether all deadlines can be met; nothing while the rank meets them. */
    public ?Sentence $deadlines;

    public Mix $mix;

    /**
     * @param list<ProjectRow> $rows      of those that take hours
     * @param ?int             $chalkLine the place in the rows of the first project the hours do not reach
     * @param Ruler            $ruler     the weeks above the rows
     * @param list<ProjectRow> $aside     ideas, and what rests
     */
    public function __construct(
        public CheckedSeason $checked,
        public array $rows,
        public ?int $chalkLine,
        public Ruler $ruler,
        public array $aside,
    ) {
        $this->mix = Mix::of($checked);
        $this->deadlines = (new Deadlines())->says($checked);
    }
}
