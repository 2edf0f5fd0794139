<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

/** One thing that is wrong with a lay or a way of laying: what, and of which pieces. FaultWords says it. */
final readonly class Fault
{
    /** @param array<string, string|int|float> $about ids of pieces and cuts are texts, copies and counts integers, millimetres floats */
    public function __construct(public FaultKind $kind, public array $about = [])
    {
    }
}
