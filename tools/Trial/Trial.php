<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** One promise of docs/security.md, tried on a server that runs. */
interface Trial
{
    public function name(): string;

    /** For about so long; the same seed tries the same. */
    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void;
}
