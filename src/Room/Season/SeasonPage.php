<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\CheckedSeason;
use Octavum\Core\Season\Deadlines;

/** A checked season as season/show.html.twig draws it. */
final readonly class SeasonPage
{
    /** Snags that stand there at once; the others are fetched. */
    public const SHOWN = 6;

    /** Whether all deadlines can be met; nothing while the rank meets them. */
    public ?Sentence $deadlines;

    /**
     * @param list<ProjectRow> $rows
     * @param ?int             $chalkLine the place in the rows of the first project the hours do not reach
     * @param Ruler            $ruler     the weeks above the rows
     */
    public function __construct(public CheckedSeason $checked, public array $rows, public ?int $chalkLine, public Ruler $ruler)
    {
        $this->deadlines = (new Deadlines())->says($checked);
    }
}
