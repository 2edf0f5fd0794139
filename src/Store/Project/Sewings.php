<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\StateChange;
use Octavum\Document\Codec\SewingCodec;
use Octavum\Document\Json\Node;
use Psr\Clock\ClockInterface;

/** The stored sewing of projects to the core's and back. */
final readonly class Sewings
{
    public function __construct(private SewingCodec $codec, private ClockInterface $clock)
    {
    }

    public function read(ProjectRecord $record): Sewing
    {
        return $this->codec->read(Node::stored($record->sewing, 'project '.$record->id));
    }

    public function store(Sewing $sewing, ProjectRecord $record): void
    {
        $record->sewing = $this->codec->write($sewing);
    }

    /** The project comes into a state, today where no day is said; with no word, one that it is in already changes nothing. */
    public function enter(ProjectRecord $record, ProjectState $state, string $why = '', ?\DateTimeImmutable $on = null): void
    {
        if ($record->state === $state && '' === $why) {
            return;
        }
        $record->state = $state;
        $this->store($this->read($record)->entering(new StateChange($state, $on ?? $this->today(), $why)), $record);
    }

    public function today(): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($this->clock->now())->setTime(0, 0);
    }
}
