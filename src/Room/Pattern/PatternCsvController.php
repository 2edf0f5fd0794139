<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\PatternLine\LineReader;
use Octavum\Core\PatternLine\PatternColumn;
use Octavum\Core\PatternLine\PatternLine;
use Octavum\Core\PatternLine\Twins;
use Octavum\Core\Reading\CsvTable;
use Octavum\Input\Entry;
use Octavum\Input\TableEntry;
use Octavum\Input\TablePage;
use Octavum\Input\TablePlace;
use Octavum\Store\Pattern\Library;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Patterns from a spreadsheet and to one. A row is read as a line is; one that is in the library already is left alone. */
#[Route('/patterns/csv', priority: 1)]
final class PatternCsvController extends AbstractController
{
    public function __construct(private readonly Library $library, private readonly PatternHaul $haul)
    {
    }

    #[Route('', name: 'pattern_csv', methods: ['GET', 'POST'])]
    public function import(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        $brought = TableEntry::of($request, $entry, PatternColumn::class);
        $known = null === $brought->table ? [] : $this->library->sketches($account);
        $rows = $brought->rows(
            fn (array $cells): PatternLine => $this->line($brought->values($cells)),
            static fn (PatternLine $line): bool => [] !== (new Twins())->find($line->pattern(), $known),
            static fn (PatternLine $line): array => [
                $line->title,
                implode(', ', array_diff([$line->maker, $line->number, ...$line->otherNumbers], [''])),
                $line->garment->value ?? '',
                implode(' ', $line->sizes),
            ],
            static fn (PatternLine $line): array => [...$line->doubts, ...$line->missing()],
        );
        if ($entry->boolean('confirmed') && $entry->isSound()) {
            $this->haul->put(TableEntry::fresh($rows), $account);

            return $this->redirectToRoute('patterns');
        }

        return $this->render(
            'part/csv.html.twig',
            [
                'page' => new TablePage(
                    'Patterns from a spreadsheet',
                    new TablePlace('patterns', 'pattern_csv_out', 'patterns'),
                    put: 'Put {count, plural, one {one pattern} other {# patterns}} into the library',
                    columns: PatternColumn::class,
                    heads: ['Pattern', 'Maker, number', 'Garment', 'Sizes'],
                    brought: $brought,
                    rows: $rows,
                    faults: $entry->faults(),
                ),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** One row a pattern, with the headings that are read back here. */
    #[Route('/out', name: 'pattern_csv_out', methods: ['GET'])]
    public function export(#[CurrentUser] Account $account): Response
    {
        $rows = array_map(
            static fn (Pattern $pattern): array => [
                $pattern->title,
                $pattern->label->maker,
                $pattern->label->number,
                implode(' / ', $pattern->label->otherNumbers),
                $pattern->makes->garment->value,
                $pattern->keeping->format->value,
                implode(
                    ' ',
                    array_unique(
                        array_merge(...array_map(static fn (Edition $edition): array => $edition->sizes, $pattern->keeping->editions)),
                    ),
                ),
                implode(
                    ', ',
                    array_filter(
                        array_map(static fn (Edition $edition): string => $edition->paper->value ?? '', $pattern->keeping->editions),
                        static fn (string $paper): bool => '' !== $paper,
                    ),
                ),
                $pattern->keeping->ownership->value,
                implode(
                    ', ',
                    array_unique(array_merge(...array_map(static fn (Version $version): array => $version->notions, $pattern->versions))),
                ),
                Entry::hours($pattern->makes->minutes),
                $pattern->keeping->place,
                $pattern->keeping->notes,
            ],
            $this->library->all($account),
        );

        return TableEntry::file(
            'octavum-patterns.csv',
            [
                'Title',
                'Maker',
                'Number',
                'Other numbers',
                'Garment',
                'Format',
                'Sizes',
                'State of the paper',
                'Ownership',
                'Notions',
                'Hours',
                'Place',
                'Notes',
            ],
            $rows,
        );
    }

    /** @param array<string, string> $values of a row, by what its columns hold */
    private function line(array $values): PatternLine
    {
        $plain = static fn (string $field): string => trim(strtr($values[$field] ?? '', [',' => ' ', ';' => ' ']));
        $notions = array_values(
            array_filter(
                array_map(trim(...), explode(',', strtr($values['notions'] ?? '', ';', ','))),
                static fn (string $one): bool => '' !== $one,
            ),
        );
        $ownership =
            ['yes' => '', 'y' => '', 'owned' => '', 'x' => '', 'no' => 'wished for', 'n' => 'wished for'][
                mb_strtolower($plain('ownership'))
            ] ?? $plain('ownership');
        $hours = $plain('hours');
        $parts = [
            $plain('garment'),
            $plain('format'),
            '' === $plain('sizes') ? '' : 'sizes '.$plain('sizes'),
            $plain('paper'),
            $ownership,
            '' === $hours ? '' : $hours.(is_numeric(strtr($hours, ',', '.')) ? ' h' : ''),
            $plain('place'),
        ];
        $read = (new LineReader())->read(implode(', ', ['row', ...array_filter($parts, static fn (string $part): bool => '' !== $part)]));
        $title = $values['title'] ?? '';
        $numbers = explode('/', strtr($values['other numbers'] ?? '', [',' => '/', ';' => '/']));
        $others = array_values(array_filter(
            array_map(static fn (string $number): string => mb_substr(trim($number), 0, 60), $numbers),
            static fn (string $number): bool => '' !== $number,
        ));
        $fromTitle = (new LineReader())->read(strtr($title, [',' => ' ']));
        $unread = array_values(array_diff($read->unread, [$plain('place')]));

        return new PatternLine(
            mb_substr(
                trim(
                    implode("\n", [
                        $values['notes'] ?? '',
                        ...array_map(static fn (string $part): string => 'not understood: '.$part, $unread),
                    ]),
                ),
                0,
                CsvTable::LONGEST_CELL,
            ),
            mb_substr('' === $title ? ('' === $plain('number') ? 'A pattern' : 'Number '.$plain('number')) : $title, 0, 120),
            mb_substr($values['maker'] ?? '', 0, 120),
            number: mb_substr($values['number'] ?? '', 0, 60),
            otherNumbers: $others,
            garment: $read->garment ?? $fromTitle->garment,
            format: $read->format,
            paper: $read->paper,
            ownership: $read->ownership,
            onlyFor: $read->onlyFor,
            sizes: $read->sizes,
            notions: array_map(static fn (string $one): string => mb_substr($one, 0, 200), $notions),
            minutes: $read->minutes,
            place: mb_substr($values['place'] ?? '', 0, 120),
            chips: $read->chips,
            doubts: [
                ...$read->doubts,
                ...array_map(
                    static fn (string $part): Sentence => new Sentence('“{text}” is not understood and kept in the notes', [
                        'text' => $part,
                    ]),
                    $unread,
                ),
            ],
            unread: $unread,
        );
    }
}
