<?php

declare(strict_types=1);

namespace Octavum\Work;

use Symfony\Component\Process\Process;

/** Begins processes that go on when the request that began them is answered. */
class Launcher
{
    private const PROCESSOR_SECONDS = 180;
    private const MEGABYTES = 1500;

    public function __construct(private readonly LimitedCommand $apart)
    {
    }

    public function launch(string $command, string $account, string $job): void
    {
        $settings = ['memory_limit=256M', 'opcache.enable_cli=1', 'opcache.jit=tracing', 'opcache.jit_buffer_size=32M'];
        $work = $this->apart->command(self::PROCESSOR_SECONDS, self::MEGABYTES, $settings, 'bin/console', [
            $command,
            '--account='.$account,
            $job,
        ]);
        // it goes on when this request has ended, and is nobody's child here who would have to see it off
        (new Process(['setsid', 'sh', '-c', '"$@" < /dev/null > /dev/null 2>&1 &', 'sh', ...$work]))->run();
    }
}
