<?php

declare(strict_types=1);

namespace Octavum\Tests;

use Octavum\Work\Launcher;

/** A process of its own would not see what a test has not committed: tests run the command themselves. */
final class NoLauncher extends Launcher
{
    public function launch(string $command, string $account, string $job): void
    {
    }
}
