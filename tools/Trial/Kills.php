<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/**
 * Ten writers, and power cuts: what was acknowledged is there, nothing is half there, nobody is signed out, the file is whole. Two add
 * cloths, one ranks the projects of a season, one brings in documents, one cuts at the gate and takes it back; five take options, keep
 * what makes a cloth enough, split projects, cut, take cuts apart, and undo each. With “full” the disk is filled while they write.
 */
final readonly class Kills implements Trial
{
    /** More than this is nobody's small file system: it is not filled. */
    private const MOST_TO_FILL = 1_000_000_000;

    /** Tenths of a second. */
    private const PATIENCE = 100;
    private const CHANGES = ['take', 'keep what makes it enough', 'split', 'cut', 'a cut apart'];

    public function __construct(private bool $full = false)
    {
    }

    public function name(): string
    {
        return $this->full ? 'full' : 'kill';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $writers = [
            new AddsCloths(Visitor::newcomer($server)),
            new AddsCloths(Visitor::newcomer($server)),
            new Ranks(Visitor::withDemo($server)),
            new BringsIn(Visitor::newcomer($server), $server->demo()),
            new Cuts(Visitor::withDemo($server), $server->demo()),
        ];
        foreach (self::CHANGES as $kind) {
            $writers[] = new ChangesOnce($server, Visitor::oneOfMany($server), $kind);
        }
        $kills = $refused = 0;
        $acknowledged = array_fill(0, \count($writers), 0);
        while ($span->more() || 0 === $kills) {
            $writing = new ParallelVisitors(\count($writers), static fn (int $i, \Closure $tell) => $writers[$i]->write($kills, $tell));
            $odd = new Odd($seed + $kills);
            $this->wait($writing, $odd->number(\count($writers) >> 1, \count($writers)));
            usleep(1000 * $odd->number(0, 1000));
            $filler = $this->full ? $this->fill($server->data) : null;
            if (null !== $filler) {
                usleep(300_000 + 1000 * $odd->number(0, 700));
            }
            $server->kill();
            $writing->stop();
            ++$kills;
            if (null !== $filler) {
                unlink($filler);
            }
            $server->start();
            foreach ($writing->told() as $i => $lines) {
                $acknowledged[$i] += \count(Writer::acknowledged($lines));
                $refused += \count(array_filter($lines, static fn (string $line): bool => str_starts_with($line, 'refused')));
                $tally->expect(
                    200 === $writers[$i]->visitor->page('/settings')->status,
                    \sprintf('kill %d: writer %d is signed out', $kills, $i),
                );
                foreach ($writers[$i]->lost($lines) as $lost) {
                    $tally->bad(\sprintf('kill %d: %s', $kills, $lost));
                }
            }
        }
        $tally->tried += array_sum($acknowledged);
        $said = (new \PDO('sqlite:'.$server->data.'/octavum.sqlite'))->query('PRAGMA integrity_check');
        $tally->expect(false !== $said && 'ok' === $said->fetchColumn(), 'the database is damaged');
        $tally->figures[] = \sprintf('%d kills, %s acknowledged, %d refused', $kills, implode(' + ', $acknowledged), $refused);
    }

    /** Until so many of them have been answered, for a while: a server that has just begun takes its time, and some writing too. */
    private function wait(ParallelVisitors $writing, int $writers): void
    {
        for ($i = 0; $i < self::PATIENCE; ++$i) {
            $told = array_filter($writing->soFar(), static fn (array $lines): bool => [] !== Writer::acknowledged($lines));
            if (\count($told) >= $writers) {
                return;
            }
            usleep(100_000);
        }
    }

    /** The file that leaves no room. */
    private function fill(string $folder): string
    {
        if (disk_total_space($folder) > self::MOST_TO_FILL) {
            throw new \RuntimeException('--folder must be a small file system of its own: this one would be filled.');
        }
        $file = $folder.'/filler';
        $handle = fopen($file, 'w');
        while (false !== $handle && \strlen($block = str_repeat('x', 4096)) === @fwrite($handle, $block)) {
            continue;
        }

        return $file;
    }
}
