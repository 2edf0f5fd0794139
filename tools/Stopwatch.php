<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Symfony\Component\Console\Style\SymfonyStyle;

/** Takes times and prints a row for each thing that was measured. */
final readonly class Stopwatch
{
    private const TIMES = 15;

    public function __construct(private SymfonyStyle $io)
    {
    }

    /** @return float milliseconds, the median */
    public function measure(string $what, \Closure $do, int $times = self::TIMES): float
    {
        $spent = [];
        for ($i = 0; $i < $times; ++$i) {
            $start = hrtime(true);
            $do();
            $spent[] = (hrtime(true) - $start) / 1e6;
        }
        sort($spent);
        $this->row(
            $what,
            \sprintf('fastest %.0f, median %.0f, slowest %.0f ms of %d', $spent[0], $spent[intdiv($times, 2)], $spent[$times - 1], $times),
        );

        return $spent[intdiv($times, 2)];
    }

    public function row(string $what, string $figure): void
    {
        $this->io->writeln(\sprintf('%-34s %s', $what, $figure), SymfonyStyle::OUTPUT_RAW);
    }
}
