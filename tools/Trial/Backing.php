<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/**
 * Kills of the server, and of the backup itself, while archives are made under writers: each archive that is there afterwards holds all
 * that was acknowledged before it was begun, and one that is altered or cut is refused.
 */
final readonly class Backing implements Trial
{
    private const WRITERS = 3;

    public function __construct(private string $project)
    {
    }

    public function name(): string
    {
        return 'backup';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $writers = [];
        for ($i = 0; $i < self::WRITERS; ++$i) {
            $writers[] = new AddsCloths(Visitor::oneOfMany($server));
        }
        $folder = $server->data.'-archives';
        $kills = $good = 0;
        while ($span->more() || 0 === $good) {
            $odd = new Odd($seed + $kills);
            $writing = new ParallelVisitors(self::WRITERS, static fn (int $i, \Closure $tell) => $writers[$i]->write($kills, $tell));
            usleep(1000 * $odd->number(200, 900));
            $before = array_map(Writer::acknowledged(...), $writing->soFar());
            $backup = new Process(['php', 'bin/console', 'octavum:backup', '--to', $folder], $this->project, [
                'OCTAVUM_DATA' => $server->data,
                'APP_ENV' => 'prod',
                'APP_DEBUG' => '0',
            ]);
            $backup->start();
            usleep(1000 * $odd->number(50, 1_500));
            match ($odd->number(0, 2)) {
                0 => $backup->stop(0, \SIGKILL),
                1 => $server->kill(),
                default => null,
            };
            ++$kills;
            $backup->wait();
            $server->kill();
            $writing->stop();
            $writing->told();
            $server->start();
            foreach ((array) glob($folder.'/octavum-*.tar') as $archive) {
                ++$good;
                $this->look((string) $archive, array_merge(...$before), $odd, $tally, 'kill '.$kills);
                (new Filesystem())->remove((string) $archive);
            }
        }
        (new Filesystem())->remove($folder);
        $tally->figures[] = \sprintf('%d kills, %d archives', $kills, $good);
    }

    /** @param list<string> $acknowledged before it was begun */
    private function look(string $archive, array $acknowledged, Odd $odd, Tally $tally, string $what): void
    {
        $place = $archive.'-restored';
        (new Filesystem())->mkdir($place);
        $tally->expect(0 === $this->restore($archive, $place), $what.': an archive that was called good is refused');
        $there = is_file($place.'/octavum.sqlite')
            ? (new \PDO('sqlite:'.$place.'/octavum.sqlite'))->query('SELECT name FROM cloth')
            : false;
        $names = array_filter(false === $there ? [] : $there->fetchAll(\PDO::FETCH_COLUMN), is_string(...));
        foreach (array_diff($acknowledged, $names) as $lost) {
            $tally->bad($what.': '.$lost.' was acknowledged and is not in the archive');
        }
        $tally->tried += \count($acknowledged);
        $content = (string) file_get_contents($archive);
        $at = $odd->number(0, \strlen($content) - 1);
        $turned = $content;
        $turned[$at] = \chr(\ord($turned[$at]) ^ (1 << $odd->number(0, 7)));
        foreach ([$turned, substr($content, 0, $at)] as $spoilt) {
            file_put_contents($archive, $spoilt);
            $tally->expect(0 !== $this->restore($archive, $place), $what.': an archive that was altered at '.$at.' is taken');
        }
        (new Filesystem())->remove($place);
    }

    private function restore(string $archive, string $data): int
    {
        $command = ['php', 'bin/console', 'octavum:restore', $archive, '--replace'];

        return (new Process($command, $this->project, ['OCTAVUM_DATA' => $data, 'APP_ENV' => 'prod', 'APP_DEBUG' => '0']))->run();
    }
}
