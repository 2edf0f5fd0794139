<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;
use Octavum\Strip\Season\OptionCard;
use Octavum\Strip\Season\ProjectRow;

/** What project/show.html.twig shows. */
final readonly class ProjectPage
{
    /**
     * @param ?ProjectRow      $row      as its current option makes it; null when it is not open
     * @param list<OptionCard> $options  the others that might be taken
     * @param list<Sentence>   $cautions
     * @param ?Sentence        $together what several take laid together
     */
    public function __construct(
        public Project $project,
        public ProjectHead $head,
        public ?ProjectRow $row,
        public array $options,
        public ?SizeAdvice $advice,
        public array $cautions,
        public ?Sentence $together,
        public ProjectSewing $sewing,
    ) {
    }
}
