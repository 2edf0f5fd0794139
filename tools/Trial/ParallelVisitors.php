<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Several people at once: processes that each do the same and tell what came of it, a line at a time. */
final class ParallelVisitors
{
    /** @var array<int, string> process → the file it writes to */
    private array $running = [];

    /** @param \Closure(int, \Closure(string): mixed): void $do a number and where to tell */
    public function __construct(int $people, \Closure $do)
    {
        for ($i = 0; $i < $people; ++$i) {
            $file = (string) tempnam(sys_get_temp_dir(), 'octavum-trial');
            $process = pcntl_fork();
            if (0 === $process) {
                try {
                    $do($i, static fn (string $line): int|false => file_put_contents($file, $line."\n", \FILE_APPEND));
                } finally {
                    // without a word: what the parent has open is the parent's
                    posix_kill((int) getmypid(), \SIGKILL);
                }
            }
            $this->running[$process] = $file;
        }
    }

    /** Ends those that go on. */
    public function stop(): void
    {
        foreach (array_keys($this->running) as $process) {
            posix_kill($process, \SIGKILL);
        }
    }

    /** @return list<list<string>> what each has told until now, whole lines only */
    public function soFar(): array
    {
        return array_map(
            static fn (string $file): array => \array_slice(explode("\n", (string) file_get_contents($file)), 0, -1),
            array_values($this->running),
        );
    }

    /** @return list<list<string>> what each has told, when all have ended */
    public function told(): array
    {
        $told = [];
        foreach ($this->running as $process => $file) {
            pcntl_waitpid($process, $status);
            $lines = file($file, \FILE_IGNORE_NEW_LINES | \FILE_SKIP_EMPTY_LINES);
            $told[] = false === $lines ? [] : $lines;
            unlink($file);
        }
        $this->running = [];

        return $told;
    }
}
