<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Store\Cloth\ClothRecord;

/** What a test showed, in a few words, and where it is written down. */
final readonly class Outcome
{
    /** @param \Closure(ClothRecord): mixed $store */
    public function __construct(public string $showed, private \Closure $store)
    {
    }

    public function store(ClothRecord $record): void
    {
        ($this->store)($record);
    }
}
