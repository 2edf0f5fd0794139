<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

/** What came of taking a change back: all of it, or nothing, with the reason. */
final readonly class TakenBack
{
    /**
     * @param string                $message an English sentence, the translator's key
     * @param array<string, string> $with
     */
    public function __construct(public bool $isWhole, public string $message, public array $with = [])
    {
    }
}
