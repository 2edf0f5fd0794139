<?php

declare(strict_types=1);

namespace Octavum\Database;

/** A stored thing that is taken out but kept, so that taking out can be undone. */
interface RemovableRecord
{
    public function remove(\DateTimeImmutable $at): void;
}
