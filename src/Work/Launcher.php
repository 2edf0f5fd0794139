<?php

declare(strict_types=1);

namespace Octavum\Work;

use Symfony\Component\Process\Process;

/** Begins processes that go on when the request that began them is answered. */
class Launcher
{
    private const PROCESSOR_SECONDS = 180;
    private const MEGABYTES = 1500;

    public function __construct(private readonly Apart $apart)
    {
    }

    public function launch(string $command, string $account, string $job): void
    {
        $settings = ['memory_limit=256M', 'opcache.enable_cli=1', 'opcache.jit=tracing', 'opcache.jit_buffer_size=32M'];
        $process = new Process(
            $this->apart->command(self::PROCESSOR_SECONDS, self::MEGABYTES, $settings, 'bin/console', [
                $command,
                '--account='.$account,
                $job,
            ]),
        );
        $process->disableOutput();
        // it goes on when this request has ended
        $process->setOptions(['create_new_console' => true]);
        $process->start();
    }
}
