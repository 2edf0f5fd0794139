<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Sewing\Needle;
use Octavum\Core\Sewing\Session;
use Octavum\Core\Sewing\WhatFits;

/** What sewing/show.html.twig shows. */
final readonly class SewingPage
{
    /** The project whose step is running. */
    public ?ProjectAnswer $running;

    /** Whose needle, press and pace stand in the margin: what is running, else what is offered first. */
    public ?ProjectAnswer $about;

    /**
     * @param int            $have     minutes there are
     * @param list<BegunRow> $begun
     * @param list<BegunRow> $next     on the plan, not begun
     * @param list<Session>  $sessions
     */
    public function __construct(
        public int $have,
        public WhatFits $fits,
        public array $begun,
        public array $next,
        public array $sessions,
        public Unsaid $unsaid,
        public Paces $paces,
        ?ProjectAnswer $about,
    ) {
        $running = null;
        foreach ([...$begun, ...$next] as $row) {
            $running = null === $row->answer->project->log->sewing->timer ? $running : $row->answer;
        }
        $this->running = $running;
        $this->about = $running ?? $about;
    }

    public function runningStep(): ?Step
    {
        foreach ($this->running->hours->steps ?? [] as $step) {
            if ($step->id === $this->running?->project->log->sewing->timer?->step) {
                return $step;
            }
        }

        return null;
    }

    /** Minutes of stitching left in what is begun. */
    public function left(): int
    {
        return array_sum(array_map(static fn (BegunRow $row): int => $row->answer->hours->left ?? 0, $this->begun));
    }

    public function cloth(): ?Cloth
    {
        return $this->about?->project->current->claims[0]->cloth ?? null;
    }

    /** @return array<string, \Octavum\Core\Measure\Sentence> needle, stitch, foot and iron for its cloth */
    public function needle(): array
    {
        $cloth = $this->cloth();

        return null === $cloth ? [] : (new Needle())->advise($cloth);
    }
}
