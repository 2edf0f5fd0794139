<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;

/** Two tabs on one thing: what was typed from an older state is not saved over a newer one without being asked. */
final readonly class Revision
{
    public static function check(Entry $entry, int $current): void
    {
        $seen = $entry->raw('revision');
        if ('' !== $seen && $seen !== (string) $current) {
            $entry->fault('revision', new Sentence('This was changed somewhere else since you opened it, in another tab or on another device. Your entries are kept below and nothing is saved yet: open it in a new tab to compare, and save again to put yours in its place.'));
        }
    }
}
