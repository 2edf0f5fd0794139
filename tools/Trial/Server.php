<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** bin/octavum start on a data folder of its own, which can be killed as a power cut would and begun again. */
final class Server
{
    public readonly string $data;
    public readonly string $base;
    private readonly int $port;
    private ?Process $process = null;

    /**
     * @param ?string $running the address of one that runs already: only accounts are made there
     * @param ?string $folder  where its data is; of one that begins here, where a folder for its data is made
     */
    public function __construct(private readonly string $project, private readonly ?string $running = null, ?string $folder = null)
    {
        $this->data = null === $running
            ? ($folder ?? sys_get_temp_dir()).'/octavum-trial-'.bin2hex(random_bytes(4))
            : $folder ?? throw new \InvalidArgumentException('--base needs --folder: where the data of that server is.');
        $this->port = random_int(20_000, 40_000);
        $this->base = $running ?? 'http://127.0.0.1:'.$this->port;
    }

    /** The document of the demo workroom. */
    public function demo(): string
    {
        return (new Filesystem())->readFile($this->project.'/fixtures/demo-workroom.json');
    }

    /** Makes an account with what the demo holds, past the page that lets only a few register. */
    public function makeAccount(string $email, string $password): void
    {
        (new Process(
            ['php', 'bin/console', 'octavum:demo', '--account', $email, '--password', $password],
            $this->project,
            ['OCTAVUM_DATA' => $this->data, 'APP_ENV' => 'prod', 'APP_DEBUG' => '0'],
        ))->mustRun();
    }

    public function start(): void
    {
        if (null !== $this->running) {
            return;
        }
        $this->process = new Process(
            ['setsid', 'bin/octavum', 'start', '--port', (string) $this->port],
            $this->project,
            ['OCTAVUM_DATA' => $this->data, 'APP_ENV' => 'prod', 'APP_DEBUG' => '0'],
            null,
            null,
        );
        $this->process->disableOutput();
        $this->process->start();
        for ($i = 0; $i < 600; ++$i) {
            if (false !== @fsockopen('127.0.0.1', $this->port, timeout: 1)) {
                return;
            }
            usleep(100_000);
        }
        throw new \RuntimeException('The server does not begin.');
    }

    /** Everything of it at once, without a word. */
    public function kill(): void
    {
        foreach ([...$this->processes('octavum start --port '.$this->port), ...$this->processes('127.0.0.1:'.$this->port)] as $id) {
            posix_kill($id, \SIGKILL);
        }
        while (true === $this->process?->isRunning()) {
            usleep(20_000);
        }
        for ($i = 0; $i < 50 && false !== @fsockopen('127.0.0.1', $this->port, timeout: 1); ++$i) {
            usleep(50_000);
        }
    }

    public function clear(): void
    {
        if (null !== $this->running) {
            return;
        }
        $this->kill();
        (new Filesystem())->remove($this->data);
    }

    /** Whether its workers are there until it ends; php-fpm ends some and begins others. */
    public function hasFixedWorkers(): bool
    {
        return null === $this->running;
    }

    /** @return array<int, float> process of a worker → megabytes it ever held */
    public function workers(): array
    {
        $held = [];
        foreach ($this->processes(null === $this->running ? '127.0.0.1:'.$this->port : 'php-fpm: pool octavum') as $id) {
            if (1 === preg_match('/VmHWM:\s+(\d+)/', (string) @file_get_contents('/proc/'.$id.'/status'), $found)) {
                $held[$id] = (int) $found[1] / 1000;
            }
        }

        return $held;
    }

    /** @return list<int> */
    private function processes(string $naming): array
    {
        $found = [];
        foreach ((array) glob('/proc/[0-9]*/cmdline') as $file) {
            $command = strtr((string) @file_get_contents((string) $file), "\0", ' ');
            if (str_contains($command, $naming) && (int) basename(\dirname((string) $file)) !== getmypid()) {
                $found[] = (int) basename(\dirname((string) $file));
            }
        }

        return $found;
    }
}
