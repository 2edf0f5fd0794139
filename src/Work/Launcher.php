<?php

declare(strict_types=1);

namespace Octavum\Work;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/** Begins processes that go on when the request that began them is answered. */
class Launcher
{
    private const PROCESSOR_SECONDS = 180;
    private const MEGABYTES = 1500;

    public function __construct(#[Autowire('%kernel.project_dir%')] private readonly string $project)
    {
    }

    public function launch(string $command, string $account, string $job): void
    {
        $php = (new PhpExecutableFinder())->find(false);
        $process = new Process([
            $this->project.'/bin/apart', (string) self::PROCESSOR_SECONDS, (string) self::MEGABYTES,
            false === $php ? 'php' : $php, '-d', 'memory_limit=256M', '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=32M',
            $this->project.'/bin/console', $command, '--account='.$account, $job,
        ]);
        $process->disableOutput();
        // it goes on when this request has ended
        $process->setOptions(['create_new_console' => true]);
        $process->start();
    }
}
