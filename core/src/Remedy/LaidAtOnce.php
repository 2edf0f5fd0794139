<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

/** Lays pieces when they are first asked for: where no page waits. */
final class LaidAtOnce implements LayMemory
{
    /** @var array<string, array<string, ?int>> by key of what was laid */
    private array $laid = [];

    /** @param int $looks at the clock, for each lay */
    public function __construct(private readonly int $looks = Laying::LOOKS)
    {
    }

    public function recall(Laying $laying): array
    {
        $key = $laying->key();
        if (!isset($this->laid[$key])) {
            $lays = new ChangedLays($laying->within($this->looks));
            $lays->unchanged();
            $this->laid[$key] = $lays->all();
        }

        return $this->laid[$key];
    }
}
