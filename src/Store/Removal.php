<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Page\Toast;
use Psr\Clock\ClockInterface;

/** Takes a thing out of its room, and puts it back: what is out stays whole, and the toast says how it comes back. */
final readonly class Removal
{
    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock, private Toast $toast)
    {
    }

    /**
     * @param string                $message what is said of it
     * @param array<string, string> $with
     * @param string                $undo    the address that puts it back
     */
    public function out(
        ClothRecord|CutRecord|LayRecord|ListRecord|NotionRecord|OptionRecord|PatternRecord|PersonRecord|ProjectRecord|VersionRecord $record,
        string $message,
        array $with,
        string $undo,
    ): void {
        $record->removedAt = $this->clock->now();
        $this->entities->flush();
        $this->toast->say($message, $with, $undo);
    }

    /** @param array<string, string> $with */
    public function back(
        ClothRecord|CutRecord|LayRecord|ListRecord|NotionRecord|OptionRecord|PatternRecord|PersonRecord|ProjectRecord|VersionRecord $record,
        string $message,
        array $with = [],
    ): void {
        $record->removedAt = null;
        $this->entities->flush();
        $this->toast->say($message, $with);
    }
}
