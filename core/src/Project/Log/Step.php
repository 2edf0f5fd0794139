<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Piece\Role;

/** One thing to do for a project. */
final readonly class Step
{
    public const LONGEST_NAME = 80;

    /** A working week. */
    public const MOST_MINUTES = 2400;

    /**
     * @param string              $id      tells it from the project's others
     * @param ?int                $minutes as said, at nobody's pace; null when nobody has said
     * @param list<NotionKind>    $needs   notions without which it cannot be done
     * @param list<Role>          $cloths  for which it is the first step that needs them
     * @param ?\DateTimeImmutable $done    the day; null while it is to come
     * @param string              $waits   for whom or what: "Suvi tries it on"; empty when for nothing
     */
    public function __construct(
        public string $id,
        public string $name,
        public StepKind $kind = StepKind::Sew,
        public ?int $minutes = null,
        public array $needs = [],
        public array $cloths = [],
        public ?\DateTimeImmutable $done = null,
        public string $waits = '',
    ) {
    }

    public function taking(?int $minutes): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->kind,
            minutes: $minutes,
            needs: $this->needs,
            cloths: $this->cloths,
            done: $this->done,
            waits: $this->waits,
        );
    }

    public function doneOn(?\DateTimeImmutable $day): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->kind,
            minutes: $this->minutes,
            needs: $this->needs,
            cloths: $this->cloths,
            done: $day,
            waits: $this->waits,
        );
    }
}
