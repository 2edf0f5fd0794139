<?php

declare(strict_types=1);

namespace Octavum\Work;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\PhpExecutableFinder;

/** The command line of PHP in a process apart from the server, within limits (bin/apart). */
final readonly class LimitedCommand
{
    public function __construct(#[Autowire('%kernel.project_dir%')] private string $project)
    {
    }

    /**
     * @param list<string> $settings  of PHP, such as "memory_limit=256M"
     * @param list<string> $arguments of the script
     *
     * @return list<string>
     */
    public function command(int $seconds, int $megabytes, array $settings, string $script, array $arguments): array
    {
        $php = (new PhpExecutableFinder())->find(false);
        $command = [$this->project.'/bin/apart', (string) $seconds, (string) $megabytes, false === $php ? 'php' : $php];
        foreach ($settings as $setting) {
            array_push($command, '-d', $setting);
        }

        return [...$command, $this->project.'/'.$script, ...$arguments];
    }
}
