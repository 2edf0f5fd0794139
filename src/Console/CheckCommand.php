<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\SentenceWriter;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\WorkingLine;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Season;
use Octavum\Core\Remedy\WayOut;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\Json\Refused;
use Octavum\Store\Lay\LaidNow;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Says of every project of a season whether there is cloth enough. With FILE it works on the document alone. */
#[AsCommand('octavum:check', 'Is there enough cloth for a season’s projects?')]
final readonly class CheckCommand
{
    public function __construct(private SentenceWriter $sentences, private DocumentFile $documents, private LaidNow $lays)
    {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('An octavum-workroom document; without it, the account’s workroom')] ?string $file = null,
        #[Option('E-mail address of the account; the demo workroom when left out')] ?string $account = null,
        #[Option('Name of the season; the one with the most to sew when left out')] ?string $season = null,
        #[Option('Print JSON')] bool $json = false,
    ): int {
        try {
            $workroom = $this->documents->workroom($file, $account);
        } catch (Refused $refused) {
            $this->documents->explain($refused, $io);

            return Command::INVALID;
        }
        $chosen = $this->season($workroom, $season);
        if (null === $chosen) {
            $io->getErrorStyle()->error(
                null === $season
                    ? 'There is no season in this workroom.'
                    : \sprintf('There is no season called “%s” in this workroom.', $season),
            );

            return Command::INVALID;
        }
        $tape = new LengthFormatter($workroom->settings->system);
        $overruled = Overrule::reasons($workroom->overrules);
        $check = new SeasonCheck($workroom->settings->assumptions, $workroom->notions, $overruled, $this->lays);
        $checked = $check->check($chosen, $workroom->projects);
        $projects = [];
        foreach ($checked->projects as $answer) {
            $projects[] = [
                'project' => $answer->project->name,
                'verdict' => $answer->verdict?->value,
                'roles' => array_map(fn (RoleAnswer $role): array => $this->role($role, $tape), $answer->roles),
                'snags' => array_map(fn (Snag $snag): string => $this->sentences->write($snag->sentence, $tape), $answer->snags),
            ];
        }
        if ($json) {
            $io->writeln(
                json_encode(
                    ['season' => $chosen->name, 'projects' => $projects],
                    \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
                ),
                SymfonyStyle::OUTPUT_RAW,
            );
        } else {
            $this->print($io, $chosen, $projects);
        }

        return Command::SUCCESS;
    }

    private function season(Workroom $workroom, ?string $name): ?Season
    {
        if (null === $name) {
            return $workroom->fullest();
        }
        $seasons = array_values(array_filter($workroom->seasons, static fn (Season $season): bool => $season->name === $name));
        usort($seasons, static fn (Season $a, Season $b): int => $b->starts <=> $a->starts);

        return $seasons[0] ?? null;
    }

    /**
     * @return array{
     *     role: string, cloth: ?string, cut: ?string, way: ?string, need: ?string, toCut: ?string, spare: ?string,
     *     laid: ?string, missing: ?string, verdict: ?string, tooWide: ?string, settle: ?string, guess: ?string, secondOpinion: ?string,
     *     working: list<string>, waysOut: list<string>,
     * }
     */
    private function role(RoleAnswer $role, LengthFormatter $tape): array
    {
        $short = Verdict::Short === $role->verdict;

        return [
            'role' => $role->claim->role->value,
            'cloth' => $role->claim->cloth->name ?? ($role->claim->wish->name ?? null),
            'cut' => $role->claim->cut?->id,
            'way' => $role->need instanceof Need ? $role->need->way->value : null,
            'need' => null === $role->amount() ? null : $tape->write(Figure::needed($role->amount())),
            'toCut' => null === $role->toCut?->length ? null : $tape->write(Figure::owned($role->toCut->length)),
            'spare' => null === $role->spare || $short ? null : $tape->write(Figure::owned($role->spare)),
            'laid' => null === $role->laid ? null : $tape->write(Figure::needed($role->laid)),
            'missing' => null === $role->missing() ? null : $tape->write(Figure::needed($role->missing())),
            'verdict' => $role->verdict?->value,
            'tooWide' => null === $role->tooWide ? null : $this->sentences->write($role->tooWide->sentence(), $tape),
            'settle' => $role->need instanceof Unknown ? $this->sentences->write($role->need->settle, $tape) : null,
            'guess' => $role->need instanceof Unknown && null !== $role->need->guess
                    ? $this->sentences->write($role->need->guess->sentence(), $tape)
                    : null,
            'secondOpinion' => $role->need instanceof Need && null !== $role->need->secondOpinion
                    ? $tape->write(Figure::needed($role->need->secondOpinion))
                    : null,
            'working' => array_map(
                fn (WorkingLine $line): string => trim(
                    \sprintf(
                        '%s: %s %s',
                        $this->sentences->write($line->label, $tape),
                        $line->operation->value,
                        $tape->write($line->figure),
                    ),
                ).(null === $line->source ? '' : ' ('.$line->source->value.')'),
                $role->working()->lines,
            ),
            'waysOut' => array_map(fn (WayOut $way): string => $this->sentences->write($way->sentence, $tape), $role->waysOut()),
        ];
    }

    /**
     * @param list<array{
     *     project: string, verdict: ?string,
     *  roles: list<array{
     *     role: string, cloth: ?string, cut: ?string, way: ?string, need: ?string, toCut: ?string, spare: ?string,
     *     laid: ?string, missing: ?string, verdict: ?string, tooWide: ?string, settle: ?string, guess: ?string, secondOpinion: ?string,
     *     working: list<string>, waysOut: list<string>,
     * }>,
     *     snags: list<string>,
     * }> $projects
     */
    private function print(SymfonyStyle $io, Season $season, array $projects): void
    {
        $io->writeln(
            \sprintf('%s, %s to %s', $season->name, $season->starts->format('j F Y'), $season->ends()->format('j F Y')),
            SymfonyStyle::OUTPUT_RAW,
        );
        foreach ($projects as $i => $project) {
            $io->writeln(
                \sprintf(
                    "\n%d  %s: %s",
                    $i + 1,
                    $project['project'],
                    $project['verdict'] ?? ([] === $project['roles'] ? 'no cloth wanted' : 'cut out'),
                ),
                SymfonyStyle::OUTPUT_RAW,
            );
            foreach ($project['roles'] as $role) {
                $parts = [];
                foreach (
                    [
                        'need' => 'need',
                        'toCut' => 'usable',
                        'spare' => 'to spare',
                        'missing' => 'missing',
                        'laid' => 'laid',
                        'way' => 'way',
                        'secondOpinion' => 'by area between the rows',
                        'tooWide' => 'too narrow',
                        'settle' => 'to settle',
                        'guess' => 'guess',
                    ] as $key => $label
                ) {
                    if (null !== $role[$key]) {
                        $parts[] = $label.' '.$role[$key];
                    }
                }
                $io->writeln(
                    \sprintf(
                        '   %s, %s%s: %s; %s',
                        $role['role'],
                        $role['cloth'] ?? 'no cloth chosen',
                        null === $role['cut'] ? '' : ' (cut '.$role['cut'].')',
                        $role['verdict'] ?? 'cut out',
                        implode(', ', $parts),
                    ),
                    SymfonyStyle::OUTPUT_RAW,
                );
                foreach ($role['working'] as $line) {
                    $io->writeln('      '.$line, SymfonyStyle::OUTPUT_RAW);
                }
                foreach ($role['waysOut'] as $way) {
                    $io->writeln('      → '.$way, SymfonyStyle::OUTPUT_RAW);
                }
            }
            foreach ($project['snags'] as $snag) {
                $io->writeln('   ! '.$snag, SymfonyStyle::OUTPUT_RAW);
            }
        }
    }
}
