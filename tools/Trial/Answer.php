<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

final readonly class Answer
{
    public function __construct(public int $status, public float $seconds, public string $content, public string $location)
    {
    }
}
