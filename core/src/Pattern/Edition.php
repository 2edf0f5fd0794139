<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** One copy of a pattern: the sizes it holds and the state of its paper. */
final readonly class Edition
{
    /**
     * @param list<string> $sizes   none when it holds all of them
     * @param string       $missing pieces that are not in it, by name
     */
    public function __construct(public string $name, public array $sizes, public ?PaperState $paper = null, public string $missing = '')
    {
    }
}
