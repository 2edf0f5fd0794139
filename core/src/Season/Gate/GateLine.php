<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Gate;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Snag\Snag;

/** One check before cutting, and how it stands. */
final readonly class GateLine
{
    /**
     * @param Sentence   $sentence what is known, or what is asked
     * @param list<Snag> $snags    that stand in the way
     * @param string     $word     with which it was waived
     */
    public function __construct(
        public Check $check,
        public GateState $state,
        public Sentence $sentence,
        public array $snags = [],
        public string $word = '',
    ) {
    }

    public function isPassed(): bool
    {
        return GateState::Open !== $this->state && GateState::Asked !== $this->state;
    }

    /** @param ?string $said of it: null nothing, empty that it is so, else why it is waived */
    public function answered(?string $said): self
    {
        $state = match (true) {
            null === $said, GateState::Clear === $this->state => $this->state,
            '' !== $said => GateState::Waived,
            GateState::Asked === $this->state => GateState::Ticked,
            default => $this->state,
        };

        return new self($this->check, $state, $this->sentence, $this->snags, $said ?? '');
    }
}
