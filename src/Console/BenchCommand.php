<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Console\Trial\Visitor;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Sewist;
use Octavum\Core\Match\WhatItBecomes;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\On;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Random\Engine\Mt19937;
use Random\Randomizer;
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
 * document, as a command and in the core alone, one cloth before the whole library, and the pages as served. `bench lay` measures
 * the lay engine on its set of lays.
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
        '/bench?q=2.1+m+140+wide+linen',
        '/bench/best',
    ];
    private const TIMES = 15;
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
        #[Argument('workroom or lay')] string $what = 'workroom',
        #[Option('Seconds for each lay')] float $seconds = 3,
    ): int {
        if ('lay' === $what) {
            $this->lays($io, $seconds);

            return Command::SUCCESS;
        }
        $workroom = (new LargeWorkroom())->make();
        $data = sys_get_temp_dir().'/octavum-bench-'.bin2hex(random_bytes(4));
        $this->files->mkdir($data);
        $file = $data.'/workroom.json';
        $this->files->dumpFile($file, $this->writer->write($workroom));
        try {
            $this->row($io, 'document', \sprintf('%.1f MB', (int) filesize($file) / 1e6));
            $this->measure($io, 'read and validate the document', fn () => $this->reader->read((string) file_get_contents($file)));
            $this->measure(
                $io,
                'check the season, core alone',
                static fn () => (new SeasonCheck($workroom->settings->assumptions))->check($workroom->seasons[0], $workroom->projects),
            );
            $half = $this->oneAgainstAll($io, $workroom, 500);
            $whole = $this->oneAgainstAll($io, $workroom, 1000);
            $this->row($io, 'twice the patterns take', \sprintf('%.2f times as long', $whole / $half));
            $this->measure($io, 'remedies of 25 pieces, core', self::remedies(...), 5);
            $environment = ['OCTAVUM_DATA' => $data, 'APP_ENV' => 'prod', 'APP_DEBUG' => '0'];
            $this->measure(
                $io,
                'bin/octavum check FILE --json',
                fn () => $this->command(['bin/console', 'octavum:check', $file, '--json'], $environment),
                5,
            );
            $this->pages($io, $data, $environment);
        } finally {
            $this->files->remove($data);
        }

        return Command::SUCCESS;
    }

    /** Every lay of the shipped set: how long against the best or against a plain shelf lay, and when the first one stood. */
    private function lays(SymfonyStyle $io, float $seconds): void
    {
        $set = new LaySet();
        $judge = new Judge();
        $ratios = ['sawn' => [], 'garment' => []];
        $faults = 0;
        $slowest = 0.0;
        foreach ($set->all($seconds) as $name => [$request, $best]) {
            $start = hrtime(true);
            $elapsed = static fn (): float => (hrtime(true) - $start) / 1e9;
            $first = null;
            $lay = (new LayMaker())->make($request, $elapsed, static function () use (&$first, $elapsed): void {
                $first ??= $elapsed();
            });
            $spent = $elapsed();
            $used = array_sum($lay->used);
            $shelf = $set->shelf($request);
            $ratios[null === $best ? 'garment' : 'sawn'][] = $used / ($best ?? $shelf);
            $wrong = $judge->faults($request, $lay);
            $faults += \count($wrong);
            $slowest = max($slowest, $first ?? 0);
            $io->writeln(
                \sprintf(
                    '%-22s %5.0f mm, %s %5.0f, %.3f of it; shelf %5.0f; used %.0f %%; first %3.0f ms; %5d tried in %.2f s%s',
                    $name,
                    $used,
                    null === $best ? 'shelf' : 'best ',
                    $best ?? $shelf,
                    $used / ($best ?? $shelf),
                    $shelf,
                    100 * $lay->utilisation,
                    1000 * ($first ?? 0),
                    $lay->evaluated,
                    $spent,
                    [] === $wrong ? '' : '  WRONG: '.implode('; ', $wrong),
                ),
                SymfonyStyle::OUTPUT_RAW,
            );
        }
        foreach ($ratios as $kind => $all) {
            $this->row(
                $io,
                $kind.' against '.('sawn' === $kind ? 'the best' : 'a shelf lay'),
                \sprintf('mean %.3f, worst %.3f of %d', array_sum($all) / max(1, \count($all)), [] === $all ? 0 : max($all), \count($all)),
            );
        }
        $this->row($io, 'slowest first lay', \sprintf('%.0f ms', 1000 * $slowest));
        $this->row($io, 'faults by the judge', (string) $faults);
    }

    /** @throws \RuntimeException unless the page is there */
    private function looked(Visitor $visitor, string $path): string
    {
        $answer = $visitor->page($path);

        return 200 === $answer->status
            ? $answer->content
            : throw new \RuntimeException(\sprintf('%s answers %d.', $path, $answer->status));
    }

    /** @param array<string, string> $environment */
    private function pages(SymfonyStyle $io, string $data, array $environment): void
    {
        $this->command(['bin/console', 'doctrine:migrations:migrate', '--no-interaction'], $environment);
        $this->command(['bin/console', 'octavum:demo'], $environment);
        $this->measure(
            $io,
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
            preg_match('~data-workings-url="([^"]+)"~', $this->looked($visitor, '/season'), $found);
            foreach ([...self::PAGES, $found[1] ?? ''] as $page) {
                for ($i = 0; $i < self::WARM_UP; ++$i) {
                    $this->looked($visitor, $page);
                }
                $this->measure($io, 'page '.$page, fn () => $this->looked($visitor, $page));
            }
        } finally {
            $server->stop(1);
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

    /** What each of twenty cloths can become, laid before a number of patterns of three versions; in milliseconds for one. */
    private function oneAgainstAll(SymfonyStyle $io, Workroom $workroom, int $patterns): float
    {
        $assumptions = $workroom->settings->assumptions;
        $makings = [];
        foreach (\array_slice($workroom->patterns, 0, $patterns) as $pattern) {
            foreach ($pattern->versions as $version) {
                $makings[] = Making::of($pattern, $version, $workroom->people[0], new Sewist(), ['14']);
            }
        }
        $becomes = new WhatItBecomes($assumptions);
        $cloths = \array_slice($workroom->cloths, 0, 20);
        $next = 0;
        $start = hrtime(true);
        $this->measure($io, \sprintf('one cloth against %d versions, core', \count($makings)), static function () use (
            $becomes,
            $cloths,
            $makings,
            $assumptions,
            &$next,
        ): void {
            $cloth = $cloths[$next++ % \count($cloths)];
            $toCut = ToCut::of($cloth, $cloth->cuts[0], $assumptions);
            $becomes->of($cloth, On::cut($cloth, $toCut), $toCut->length, $makings);
        }, 20);

        return (hrtime(true) - $start) / 2e7;
    }

    /** Everything that may be done about a garment of 25 pieces, laid for the first time. */
    private static function remedies(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $names = ['Front', 'Back', 'Sleeve', 'Collar', 'Cuff', 'Pocket', 'Front facing', 'Back facing', 'Yoke', 'Skirt front', 'Hood'];
        $pieces = [];
        for ($i = 0; $i < 25; ++$i) {
            $outline = Outline::rectangle($random->getInt(150, $i < 8 ? 800 : 400), $random->getInt(80, 350));
            $name = ($names[$i] ?? 'Piece').' '.$i;
            $pieces[] = new Piece($name, quantity: $random->getInt(1, 2), shapes: [new Shape([], $outline, Length::ofMillimetres(15))]);
        }
        [$need, $free, $margin] = array_map(Length::ofMillimetres(...), [9000, 2000, 100]);
        (new MakeEnough(Laying::of($pieces, '', Length::ofMillimetres(1380), false), $need, $free, true, $margin))->tried();
    }

    private function measure(SymfonyStyle $io, string $what, \Closure $do, int $times = self::TIMES): void
    {
        $spent = [];
        for ($i = 0; $i < $times; ++$i) {
            $start = hrtime(true);
            $do();
            $spent[] = (hrtime(true) - $start) / 1e6;
        }
        sort($spent);
        $this->row(
            $io,
            $what,
            \sprintf('fastest %.0f, median %.0f, slowest %.0f ms of %d', $spent[0], $spent[intdiv($times, 2)], $spent[$times - 1], $times),
        );
    }

    private function row(SymfonyStyle $io, string $what, string $figure): void
    {
        $io->writeln(\sprintf('%-34s %s', $what, $figure), SymfonyStyle::OUTPUT_RAW);
    }
}
