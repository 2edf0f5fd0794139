<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Answer;

/**
 * What not every page shows: worked out when it is first asked for, and only then.
 *
 * @template T
 */
final class Lazy
{
    /** @var ?array{T} */
    private ?array $found = null;

    /** @param \Closure(): T $work */
    public function __construct(private readonly \Closure $work)
    {
    }

    /** @return T */
    public function get(): mixed
    {
        $this->found ??= [($this->work)()];

        return $this->found[0];
    }
}
