<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Octavum\Console\DocumentFile;
use Octavum\Core\Body\Person;
use Octavum\Core\Match\CrossLine;
use Octavum\Core\Match\CrossTable;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Paired;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Project\Sewn;
use Octavum\Core\Reading\CsvTable;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\Json\Refused;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\Helper;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Lays every cut before every version, after what is promised to projects. With FILE it works on the document alone. */
#[AsCommand('octavum:cross', 'What can every cut become, and what is there for every version?')]
final readonly class CrossCommand
{
    /** Columns for the name at the beginning of a line. */
    private const NAME = 44;
    private const HEADING = ['cloth', 'cut', 'pattern', 'version', 'size', 'stands', 'points', 'spare_mm'];

    public function __construct(
        private DocumentFile $documents,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('An octavum-workroom document; without it, the account’s workroom')] ?string $file = null,
        #[Option('E-mail address of the account; the demo workroom when left out')] ?string $account = null,
        #[Option('Name of the person it is sewn for; whoever is sewn for most when left out')] ?string $for = null,
        #[Option('Also write every pair that is not refused to this CSV file')] ?string $csv = null,
    ): int {
        try {
            $workroom = $this->documents->workroom($file, $account);
        } catch (Refused $refused) {
            $this->documents->explain($refused, $io);

            return Command::INVALID;
        }
        $sewn = new Sewn($workroom->projects);
        $person = $this->person($workroom, $sewn, $for);
        if (null === $person && null !== $for) {
            $io->getErrorStyle()->error(\sprintf('There is nobody called “%s” in this workroom.', $for));

            return Command::INVALID;
        }
        try {
            $rows = null === $csv ? null : new \SplFileObject($csv, 'w');
        } catch (\RuntimeException) {
            $io->getErrorStyle()->error(\sprintf('“%s” cannot be written.', $csv));

            return Command::INVALID;
        }
        $sewist = $workroom->settings->sewist->having($sewn->made());
        $makings = Making::all($workroom->patterns, $person, $sewist, $sewn->usual($person));
        $this->print($io, $workroom, $person, $makings, $rows);

        return Command::SUCCESS;
    }

    private function person(Workroom $workroom, Sewn $sewn, ?string $name): ?Person
    {
        $people = array_column($workroom->people, null, 'id');
        $named = array_filter($people, static fn (Person $person): bool => $person->name === $name);

        return null === $name ? $sewn->mostFor($people) : array_values($named)[0] ?? null;
    }

    /**
     * @param list<Making> $makings
     */
    private function print(SymfonyStyle $io, Workroom $workroom, ?Person $person, array $makings, ?\SplFileObject $csv): void
    {
        $assumptions = $workroom->settings->assumptions;
        $promised = array_map(Reservation::total(...), (new SeasonCheck($assumptions))->promises($workroom->projects));
        $cross = new CrossTable($assumptions, Overrule::reasons($workroom->overrules));
        $cuts = [];
        foreach ($workroom->cloths as $cloth) {
            foreach ($cloth->cuts as $i => $cut) {
                if (!$cut->gone) {
                    $cuts[$cut->id] = [$cloth->name.(1 === \count($cloth->cuts) ? '' : ', cut '.($i + 1)), new CrossLine()];
                }
            }
        }
        $versions = array_map(static fn (): CrossLine => new CrossLine(), $makings);
        $csv?->fputcsv(self::HEADING, escape: '');
        foreach ($cross->pairs($workroom->cloths, $makings, $promised) as $pair) {
            $cuts[$pair->cut->id][1]->add($pair);
            $versions[$pair->version]->add($pair);
            $csv?->fputcsv(self::fields($pair), escape: '');
        }
        $tape = new LengthFormatter($workroom->settings->system);
        $io->writeln(
            \sprintf('%d cuts before %d versions, for %s', \count($cuts), \count($makings), $person->name ?? 'nobody in particular'),
            SymfonyStyle::OUTPUT_RAW,
        );
        $io->writeln("\nWhat each cut can become", SymfonyStyle::OUTPUT_RAW);
        foreach ($cuts as [$name, $line]) {
            $named = static fn (Paired $pair): string => self::version($pair->making);
            $io->writeln($this->line($name, $line, $named, $tape), SymfonyStyle::OUTPUT_RAW);
        }
        $io->writeln("\nWhat there is for each version", SymfonyStyle::OUTPUT_RAW);
        foreach ($makings as $j => $making) {
            $named = static fn (Paired $pair): string => $cuts[$pair->cut->id][0];
            $io->writeln($this->line(self::version($making), $versions[$j], $named, $tape), SymfonyStyle::OUTPUT_RAW);
        }
    }

    /** @param \Closure(Paired): string $other what stands on the other side of a pair */
    private function line(string $name, CrossLine $line, \Closure $other, LengthFormatter $tape): string
    {
        $best = array_map(
            static fn (Paired $pair): string => $other($pair).', '.$tape->write(Figure::owned($pair->spare ?? Length::zero())).' over',
            $line->best,
        );

        $known = ($line->count[Group::WouldDo->value] ?? 0) - $line->unknown;

        return $name.str_repeat(' ', max(1, self::NAME - Helper::width($name))).\sprintf(
            '%4d made for it %4d would do %4d short %4d not known yet   %s',
            $line->count[Group::MadeForIt->value] ?? 0,
            $known,
            $line->count[Group::Short->value] ?? 0,
            $line->unknown,
            [] === $best ? 'nothing is enough' : implode(' · ', $best),
        );
    }

    private static function version(Making $making): string
    {
        return $making->pattern->title.' '.$making->version->name.(null === $making->size ? '' : ' in '.$making->size);
    }

    /** @return list<string> */
    private static function fields(Paired $pair): array
    {
        return array_map(CsvTable::marked(...), array_map(strval(...), [
            $pair->cloth->name,
            $pair->cut->id,
            $pair->making->pattern->title,
            $pair->making->version->name,
            $pair->making->size,
            null === $pair->spare ? 'not known yet' : $pair->group->value,
            $pair->points,
            null === $pair->spare ? '' : Rounding::Down->divide($pair->spare->micrometres, 1000),
        ]));
    }
}
