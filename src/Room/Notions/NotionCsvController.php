<?php

declare(strict_types=1);

namespace Octavum\Room\Notions;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionColumn;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Notion\NotionReader;
use Octavum\Core\Reading\CsvTable;
use Octavum\Input\Entry;
use Octavum\Input\TableEntry;
use Octavum\Input\TablePage;
use Octavum\Input\TablePlace;
use Octavum\Store\Notion\NotionStore;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Notions from a spreadsheet and to one. */
#[Route('/notions/csv', priority: 1)]
final class NotionCsvController extends AbstractController
{
    public function __construct(private readonly NotionStore $tins, private readonly AccountSettings $settings)
    {
    }

    #[Route('', name: 'notion_csv', methods: ['GET', 'POST'])]
    public function import(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        $brought = TableEntry::of($request, $entry, NotionColumn::class);
        $there = array_flip(array_map(self::key(...), $this->tins->all($account)));
        $tape = $this->settings->tape();
        $rows = $brought->rows(
            fn (array $cells): Notion => $this->notion($brought->values($cells), $brought->table->headings ?? [], $cells),
            static fn (Notion $notion): bool => isset($there[self::key($notion)]),
            fn (Notion $notion): array => [
                $notion->kind->value,
                null === $notion->measure ? '' : $tape->write(Figure::notion($notion->measure)),
                $this->amount($notion, $tape),
                $notion->name,
                $notion->place,
            ],
            static fn (Notion $notion): array => NotionKind::Other === $notion->kind
                ? [new Sentence('no kind of notion is known in it')]
                : [],
        );
        if ($entry->boolean('confirmed') && $entry->isSound()) {
            $this->tins->put(TableEntry::fresh($rows), $account);

            return $this->redirectToRoute('notions');
        }

        return $this->render(
            'part/csv.html.twig',
            [
                'page' => new TablePage(
                    'Notions from a spreadsheet',
                    new TablePlace('cloths', 'notion_csv_out', 'notions'),
                    put: 'Add {count, plural, one {one notion} other {# notions}} to yours',
                    columns: NotionColumn::class,
                    heads: ['Kind', 'Measure', 'How much', 'What it is like', 'Place'],
                    brought: $brought,
                    rows: $rows,
                    faults: $entry->faults(),
                ),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** One row an entry, with the headings that are read back here. */
    #[Route('/out', name: 'notion_csv_out', methods: ['GET'])]
    public function export(#[CurrentUser] Account $account): Response
    {
        $rows = array_map(
            static fn (Notion $notion): array => [
                $notion->kind->value,
                null === $notion->measure ? '' : $notion->measure->millimetres().' mm',
                $notion->kind->goesByLength()
                    ? (null === $notion->length
                        ? ''
                        : $notion->length->millimetres() / 10 .' cm')
                    : (string) $notion->count,
                $notion->name,
                $notion->place,
                $notion->notes,
            ],
            $this->tins->all($account),
        );

        return TableEntry::file('octavum-notions.csv', ['Kind', 'Measure', 'Amount', 'Name', 'Place', 'Notes'], $rows);
    }

    /**
     * A row is read as a line is; a bare measure is in millimetres, or in what its heading says.
     *
     * @param array<string, string> $values
     * @param list<string>          $headings
     * @param list<string>          $cells
     */
    private function notion(array $values, array $headings, array $cells): Notion
    {
        $unit = static function (string $value, string $usual) use ($headings, $cells): string {
            if (1 !== preg_match('~^[\d.,/\s½¼¾⅛⅜⅝⅞]+$~u', $value)) {
                return $value;
            }
            $heading = $headings[(int) array_search($value, $cells, true)] ?? '';

            return $value.' '.(1 === preg_match('~\b(mm|cm|m|in|inches|yd)\b~i', $heading, $said) ? $said[1] : $usual);
        };
        $kind = (new NotionReader())->read($values['kind'] ?? ($values['name'] ?? ''))->kind;
        $amount = $values['amount'] ?? '';
        $line = implode(
            ' ',
            array_filter(
                [
                    $kind->goesByLength() ? $unit($amount, 'cm') : $amount,
                    $values['name'] ?? '',
                    NotionKind::Other->value === ($values['kind'] ?? '') ? '' : $values['kind'] ?? '',
                    $unit($values['measure'] ?? '', NotionKind::Zip === $kind ? 'cm' : 'mm'),
                ],
                static fn (string $part): bool => '' !== $part,
            ),
        );
        $read = (new NotionReader())->read($line);

        return new Notion(
            '',
            $read->kind,
            $read->measure,
            count: $read->count ?? ($read->kind->goesByLength() ? null : 1),
            length: $read->length,
            name: mb_substr($read->name, 0, 120),
            place: mb_substr($values['place'] ?? '', 0, 120),
            notes: mb_substr($values['notes'] ?? '', 0, CsvTable::LONGEST_CELL),
        );
    }

    private function amount(Notion $notion, LengthFormatter $tape): string
    {
        return $notion->kind->goesByLength()
            ? (null === $notion->length
                ? 'some'
                : $tape->write(Figure::owned($notion->length)))
            : (string) $notion->count;
    }

    private static function key(Notion $notion): string
    {
        return serialize([
            $notion->kind->value,
            $notion->measure?->micrometres,
            $notion->count,
            $notion->length?->micrometres,
            mb_strtolower($notion->name),
            mb_strtolower($notion->place),
        ]);
    }
}
