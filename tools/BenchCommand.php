<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Octavum\Core\Lay\FaultWords;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tools\Trial\Visitor;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\PhpSubprocess;
use Symfony\Component\Process\Process;

/**
 * Measures, on a made-up workroom of 500 cloths, 700 cuts, 1000 patterns and 60 projects with three options each: the check of a
 * document, as a command and in the core alone, one cloth before the whole library, and the pages as served; `bench pages` measures
 * these alone, `bench lay` the lay engine on its set of lays.
 */
#[AsCommand('octavum:bench', 'Measures the check of a large workroom and its pages, or the lay engine')]
final readonly class BenchCommand
{
    private const PAGES = [
        '/season',
        '/cloth',
        '/patterns',
        '/shopping',
        '/project/new',
        '/people',
        '/notions',
        '/patterns?words=brook&without[lining]=1',
        '/cloth?colour=moss&free=1',
        '/find?q=moss',
        '/find?q=trowsers',
        '/choose/cut?q=mos+twil',
        '/choose/version?q=broook',
        '/match?q=2.1+m+140+wide+linen',
        '/match/best',
        '/sewing',
        '/table',
        '/project/{project}',
        '/cloth/{cloth}',
    ];
    private const WARM_UP = 5;

    /** As bin/octavum start runs it. */
    private const SERVER = [
        '-d',
        'opcache.enable=1',
        '-d',
        'opcache.enable_cli=1',
        '-d',
        'opcache.jit_buffer_size=64M',
        '-d',
        'opcache.jit=function',
    ];

    public function __construct(
        private WorkroomReader $reader,
        private WorkroomWriter $writer,
        private Filesystem $files,
        #[Autowire('%kernel.project_dir%')] private string $project,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('workroom, pages or lay')] string $what = 'workroom',
        #[Option('Seconds for each lay')] float $seconds = 3,
    ): int {
        $watch = new Stopwatch($io);
        if ('lay' === $what) {
            $this->lays($io, $watch, $seconds);

            return Command::SUCCESS;
        }
        $workroom = (new LargeWorkroom())->make();
        $data = sys_get_temp_dir().'/octavum-bench-'.bin2hex(random_bytes(4));
        $this->files->mkdir($data);
        $file = $data.'/workroom.json';
        $this->files->dumpFile($file, $this->writer->write($workroom));
        try {
            $watch->row('document', \sprintf('%.1f MB', (int) filesize($file) / 1e6));
            $watch->measure('read and validate the document', fn () => $this->reader->read((string) file_get_contents($file)));
            $environment = ['OCTAVUM_DATA' => $data, 'APP_ENV' => 'prod', 'APP_DEBUG' => '0'];
            if ('pages' === $what) {
                $this->pages($watch, $data, $environment);

                return Command::SUCCESS;
            }
            (new CoreTimes($watch))->measure($workroom);
            $watch->measure(
                'bin/octavum check FILE --json',
                fn () => $this->command(['bin/console', 'octavum:check', $file, '--json'], $environment),
                5,
            );
            $watch->measure(
                'bin/octavum cross FILE, in 256 MB',
                fn () => $this->command(['-d', 'memory_limit=256M', ...self::SERVER, 'bin/console', 'octavum:cross', $file], $environment),
                3,
            );
            $this->pages($watch, $data, $environment);
        } finally {
            $this->files->remove($data);
        }

        return Command::SUCCESS;
    }

    /** Every lay of the shipped set: how long against the best or against the first engine alone, and when the first one stood. */
    private function lays(SymfonyStyle $io, Stopwatch $watch, float $seconds): void
    {
        $set = new LaySet();
        $judge = new Judge();
        $ratios = ['sawn' => [], 'irregular' => [], 'rounded' => [], 'garment' => [], 'irregular, first engine' => []];
        $faults = 0;
        $slowest = 0.0;
        foreach ($set->all($seconds) as $name => [$request, $best]) {
            $first = null;
            [$former] = $this->laid(new LayMaker(false), $request);
            [$lay, $spent] = $this->laid(new LayMaker(), $request, $first);
            $used = array_sum($lay->used);
            $known = strtok($name, ' ');
            $kind = null === $best ? 'garment' : (isset($ratios[$known]) ? $known : 'sawn');
            $ratios[$kind][] = $used / ($best ?? array_sum($former->used));
            if ('irregular' === $kind) {
                $ratios['irregular, first engine'][] = array_sum($former->used) / $best;
            }
            $wrong = $judge->faults($request, $lay);
            $say = static fn (Fault $fault): string => (string) (new FaultWords())->say($fault);
            $faults += \count($wrong);
            $slowest = max($slowest, $first ?? 0);
            $io->writeln(
                \sprintf(
                    '%-22s %5.0f mm, first engine %5.0f, %.3f of it%s; used %.0f %%; first %3.0f ms; %5d tried in %.2f s%s',
                    $name,
                    $used,
                    array_sum($former->used),
                    $used / array_sum($former->used),
                    null === $best ? '' : \sprintf(', best %.0f, %.3f of it', $best, $used / $best),
                    100 * $lay->measure->utilisation,
                    1000 * ($first ?? 0),
                    $lay->measure->evaluated,
                    $spent,
                    [] === $wrong ? '' : '  WRONG: '.implode('; ', array_map($say, $wrong)),
                ),
                SymfonyStyle::OUTPUT_RAW,
            );
        }
        [$matched, $wrong] = $this->matched($io, $set, $seconds);
        $faults += $wrong;
        $watch->row(
            'matched, its place free, against held at the cut end',
            \sprintf(
                'mean %.3f, worst %.3f of %d',
                array_sum($matched) / max(1, \count($matched)),
                max([0, ...$matched]),
                \count($matched),
            ),
        );
        foreach ($ratios as $kind => $all) {
            $watch->row(
                $kind.' against '.('garment' === $kind ? 'the first engine' : 'the best'),
                \sprintf('mean %.3f, worst %.3f of %d', array_sum($all) / max(1, \count($all)), [] === $all ? 0 : max($all), \count($all)),
            );
        }
        $watch->row('slowest first lay', \sprintf('%.0f ms', 1000 * $slowest));
        $watch->row('faults by the judge', (string) $faults);
    }

    /** @return array{list<float>, int} what each takes of the lay that is held at the cut end, and faults by the judge */
    private function matched(SymfonyStyle $io, LaySet $set, float $seconds): array
    {
        $ratios = [];
        $faults = 0;
        foreach ($set->matched($seconds) as $name => [$free, $held]) {
            [$lay] = $this->laid(new LayMaker(), $free);
            [$anchored] = $this->laid(new LayMaker(), $held);
            $faults += \count((new Judge())->faults($free, $lay)) + \count((new Judge())->faults($held, $anchored));
            [$used, $before] = [array_sum($lay->used), array_sum($anchored->used)];
            $ratios[] = $used / $before;
            $io->writeln(
                \sprintf('%-22s %5.0f mm with the place in the repeat free, %5.0f held at the cut end', $name, $used, $before),
                SymfonyStyle::OUTPUT_RAW,
            );
        }

        return [$ratios, $faults];
    }

    /** @return array{Lay, float} and the seconds it took; $first is when its first lay stood */
    private function laid(LayMaker $maker, LayRequest $request, ?float &$first = null): array
    {
        $start = hrtime(true);
        $elapsed = static fn (): float => (hrtime(true) - $start) / 1e9;
        $lay = $maker->make($request, $elapsed, static function () use (&$first, $elapsed): void {
            $first ??= $elapsed();
        });

        return [$lay, $elapsed()];
    }

    /** @throws \RuntimeException unless the page is there */
    private function looked(Visitor $visitor, string $path): string
    {
        $answer = $visitor->page($path);

        return 200 === $answer->status ? $answer->content : throw new \RuntimeException(\sprintf('%s answers %d.', $path, $answer->status));
    }

    /** @param array<string, string> $environment */
    private function pages(Stopwatch $watch, string $data, array $environment): void
    {
        $this->command(['bin/console', 'doctrine:migrations:migrate', '--no-interaction'], $environment);
        $this->command(['bin/console', 'octavum:demo'], $environment);
        $watch->measure(
            'import the document',
            fn () => $this->command(
                ['bin/console', 'octavum:import', $data.'/workroom.json', '--account', 'ottoline@demo.invalid', '--replace'],
                $environment,
            ),
            1,
        );
        $port = random_int(20_000, 40_000);
        $server = new PhpSubprocess(
            [...self::SERVER, '-S', '127.0.0.1:'.$port, '-t', 'public', 'public/router.php'],
            $this->project,
            $environment,
            600,
        );
        $server->start();
        try {
            $visitor = new Visitor('http://127.0.0.1:'.$port);
            for ($i = 0; $i < 50 && 0 === $visitor->page('/sign-in')->status; ++$i) {
                usleep(100_000);
            }
            $visitor->openDemo();
            $season = $this->looked($visitor, '/season');
            preg_match('~data-workings-url="([^"]+)"~', $season, $found);
            preg_match('~/project/([0-9A-Z]{26})~', $season, $project);
            preg_match('~/cloth/([0-9A-Z]{26})~', $this->looked($visitor, '/cloth'), $cloth);
            $this->rank($watch, $visitor);
            foreach ([...self::PAGES, $found[1] ?? ''] as $named) {
                $page = strtr($named, ['{project}' => $project[1] ?? '', '{cloth}' => $cloth[1] ?? '']);
                for ($i = 0; $i < self::WARM_UP; ++$i) {
                    $this->looked($visitor, $page);
                }
                $watch->measure('page '.$named, fn () => $this->looked($visitor, $page));
            }
        } finally {
            $server->stop(1);
        }
    }

    /** The first project goes to the end, time after time. */
    private function rank(Stopwatch $watch, Visitor $visitor): void
    {
        $season = $this->looked($visitor, '/season');
        preg_match('~/season/([0-9A-Z]{26})/rank~', $season, $id);
        preg_match_all('~id="p([0-9A-Z]{26})"~', $season, $found);
        $order = $found[1];
        $watch->measure('re-rank', static function () use ($visitor, $id, &$order): void {
            $was = implode(',', $order);
            $order = [...\array_slice($order, 1), ...\array_slice($order, 0, 1)];
            $answer = $visitor->send('/season/'.($id[1] ?? '').'/rank', ['order' => implode(',', $order), 'was' => $was]);
            if (303 !== $answer->status) {
                throw new \RuntimeException(\sprintf('The re-rank answers %d.', $answer->status));
            }
        });
        preg_match_all('~id="p([0-9A-Z]{26})"~', $this->looked($visitor, '/season'), $now);
        if ($now[1] !== $order) {
            throw new \RuntimeException('The rank is not what was sent.');
        }
    }

    /**
     * @param list<string>          $arguments
     * @param array<string, string> $environment
     */
    private function command(array $arguments, array $environment): void
    {
        (new Process([\PHP_BINARY, '-d', 'memory_limit=1G', ...$arguments], $this->project, $environment, null, 120))->mustRun();
    }
}
