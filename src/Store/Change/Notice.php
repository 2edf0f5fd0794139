<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

/** What is said of a change, and where taking it back leads. */
final readonly class Notice
{
    /**
     * @param string                $message an English sentence, the translator's key
     * @param array<string, string> $with
     * @param string                $back    a path of the application
     */
    public function __construct(public string $message, public array $with, public string $back)
    {
    }
}
