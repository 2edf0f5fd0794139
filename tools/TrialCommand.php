<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Octavum\Tools\Trial\Addresses;
use Octavum\Tools\Trial\Backing;
use Octavum\Tools\Trial\Documents;
use Octavum\Tools\Trial\Forms;
use Octavum\Tools\Trial\Isolation;
use Octavum\Tools\Trial\Kills;
use Octavum\Tools\Trial\Load;
use Octavum\Tools\Trial\Server;
use Octavum\Tools\Trial\Spoilt;
use Octavum\Tools\Trial\Tally;
use Octavum\Tools\Trial\TimeBox;
use Octavum\Tools\Trial\Trial;
use Octavum\Tools\Trial\Undo;
use Octavum\Tools\Trial\Uploads;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Routing\RouterInterface;

/** Exit 0 when nothing bad was found, 1 when something was, 2 for a trial it does not know. */
#[AsCommand('octavum:trial', 'Tries what docs/security.md promises on a server of its own')]
final readonly class TrialCommand
{
    /** Megabytes that a worker may take. */
    private const MOST_MEMORY = 256;

    public function __construct(
        #[Autowire('%kernel.project_dir%')] private string $project,
        private RouterInterface $router,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('import, forms, isolation, uploads, kill, load, undo, backup, spoilt, paths; or beside or full')] string $what = '',
        #[Option('For each, about')] int $seconds = 20,
        #[Option('Where the odd values begin; the same gives the same')] int $seed = 1,
        #[Option('Seconds that an answer may take')] float $slow = 2,
        #[Option('Address of a server that runs already, for “load”')] ?string $base = null,
        #[Option('Where the server keeps its data (with --base); for “full” a small file system, which is filled')] ?string $folder = null,
    ): int {
        $trials = array_filter(
            $this->trials(),
            static fn (Trial $trial, int $at): bool => match (true) {
                null !== $base => 'load' === $trial->name(),
                '' === $what => $at < 6,
                default => $what === $trial->name(),
            },
            \ARRAY_FILTER_USE_BOTH,
        );
        if ([] === $trials) {
            $names = implode(', ', array_map(static fn (Trial $trial): string => $trial->name(), $this->trials()));
            $io->getErrorStyle()->writeln(\sprintf('There is no trial “%s”; there are %s.', $what, $names));

            return Command::INVALID;
        }
        $bad = 0;
        $server = new Server($this->project, $base, $folder);
        try {
            $server->start();
            foreach ($trials as $trial) {
                $tally = new Tally($slow);
                $trial->run($server, new TimeBox($seconds), $seed, $tally);
                $this->weigh($server, $tally);
                $this->tell($trial->name(), $tally, $io);
                $bad += $tally->bad;
            }
        } finally {
            $server->clear();
        }

        return 0 === $bad ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return list<Trial> the two last take a quiet machine or a file system of their own */
    private function trials(): array
    {
        return [
            new Documents(),
            new Forms(),
            new Isolation(),
            new Uploads(),
            new Kills(),
            new Load(),
            new Undo(),
            new Backing($this->project),
            new Spoilt(),
            new Addresses($this->paths()),
            new Load(beside: true),
            new Kills(full: true),
        ];
    }

    /** @return non-empty-list<string> */
    private function paths(): array
    {
        $paths = [];
        foreach ($this->router->getRouteCollection() as $route) {
            $paths[] = $route->getPath();
        }

        return [] === $paths ? throw new \LogicException('There are routes.') : array_values(array_unique($paths));
    }

    private function weigh(Server $server, Tally $tally): void
    {
        $held = $server->workers();
        if ([] !== $held) {
            $tally->expect(max($held) <= self::MOST_MEMORY, \sprintf('a worker takes %.0f MB', max($held)));
            $tally->figures[] = \sprintf('most memory of a worker %.0f MB', max($held));
        }
    }

    private function tell(string $name, Tally $tally, SymfonyStyle $io): void
    {
        $figures = [] === $tally->figures ? '' : ' ('.implode('; ', $tally->figures).')';
        $line = \sprintf('%-10s %d tried, %d bad, slowest %.2f s', $name, $tally->tried, $tally->bad, $tally->slowest);
        $io->writeln(
            [$line.$figures, ...array_map(static fn (string $how): string => '           '.$how, $tally->first)],
            SymfonyStyle::OUTPUT_RAW,
        );
    }
}
