<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Console\Trial\Server;
use Octavum\Console\Trial\Trials;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Exit 0 when nothing bad was found, 1 when something was, 2 for a trial it does not know. */
#[AsCommand('octavum:trial', 'Tries what docs/security.md promises on a server of its own: import, forms, isolation, uploads, kill, load, or all')]
final readonly class TrialCommand
{
    public function __construct(private Trials $trials, #[Autowire('%kernel.project_dir%')] private string $project)
    {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('Which; all when left out')] string $what = '',
        #[Option('For each, about')] int $seconds = 20,
        #[Option('Where the odd values begin; the same gives the same')] int $seed = 1,
        #[Option('Seconds that an answer may take')] float $slow = 2,
        #[Option('Of a server with a demo that runs already, for “load”')] ?string $base = null,
    ): int {
        $names = null !== $base ? ['load'] : ('' === $what ? Trials::NAMES : array_values(array_intersect(Trials::NAMES, [$what])));
        if ([] === $names) {
            $io->getErrorStyle()->writeln(\sprintf('There is no trial “%s”; there are %s.', $what, implode(', ', Trials::NAMES)));

            return Command::INVALID;
        }
        $bad = 0;
        $server = new Server($this->project, $base);
        try {
            $server->start();
            foreach ($names as $name) {
                $tally = $this->trials->run($name, $server, $seconds, $seed, $slow);
                $bad += $tally->bad;
                $io->writeln(\sprintf('%-10s %d tried, %d bad, slowest %.2f s%s', $name, $tally->tried, $tally->bad, $tally->slowest, [] === $tally->figures ? '' : ' ('.implode('; ', $tally->figures).')'), SymfonyStyle::OUTPUT_RAW);
                foreach ($tally->first as $how) {
                    $io->writeln('           '.$how, SymfonyStyle::OUTPUT_RAW);
                }
            }
        } finally {
            $server->clear();
        }

        return 0 === $bad ? Command::SUCCESS : Command::FAILURE;
    }
}
