<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** How far a project has come. Each change is dated, as Sewing\Entered. */
enum ProjectState: string
{
    case Idea = 'idea';
    case Planned = 'planned';
    case Ready = 'ready to cut';
    case Cut = 'cut';
    case Sewing = 'sewing';
    case Finishing = 'finishing';
    case Done = 'done';
    case Resting = 'resting';
    case GivenUp = 'given up';

    /** Whether it still wants its cloth; an idea is given what all others leave. */
    public function isOpen(): bool
    {
        return self::Done !== $this && self::GivenUp !== $this;
    }

    /** Whether it takes hours of its season: an idea does not yet, and what rests does not now. */
    public function takesHours(): bool
    {
        return $this->isOpen() && self::Idea !== $this && self::Resting !== $this;
    }

    /** Whether somebody has cloth for it on the table or under the needle. */
    public function isBegun(): bool
    {
        return \in_array($this, [self::Ready, self::Cut, self::Sewing, self::Finishing], true);
    }

    /** Whether the scissors have been through its cloth. */
    public function isCut(): bool
    {
        return \in_array($this, [self::Cut, self::Sewing, self::Finishing, self::Done], true);
    }

    /** @return list<self> that are in its season's rank */
    public static function ranked(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $state): bool => $state->takesHours()));
    }
}
