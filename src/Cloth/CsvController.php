<?php

declare(strict_types=1);

namespace Octavum\Cloth;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Haul\Column;
use Octavum\Core\Haul\CsvReader;
use Octavum\Core\Haul\CsvTable;
use Octavum\Core\Haul\HaulLine;
use Octavum\Core\Measure\Sentence;
use Octavum\Input\Entry;
use Octavum\Page\Toast;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Cloth from a spreadsheet and to one. Nothing is saved until the preview is confirmed; a row twice is one cloth. */
#[Route('/cloth/csv', priority: 1)]
final class CsvController extends AbstractController
{
    private const MOST_BYTES = 3_000_000;

    public function __construct(private readonly AccountSettings $settings, private readonly Stash $stash, private readonly CsvReader $reader = new CsvReader())
    {
    }

    #[Route('', name: 'cloth_csv', methods: ['GET', 'POST'])]
    public function import(Request $request, HaulStore $store, Toast $toast, #[CurrentUser] Account $account): Response
    {
        $entry = new Entry($request->request->all());
        $table = $request->isMethod('POST') ? $this->table($request, $entry) : null;
        $columns = null === $table ? [] : $this->columns($table, $entry);
        $rows = null === $table ? [] : $this->rows($table, $columns, $account);
        $new = array_filter($rows, static fn (array $row): bool => 'new' === $row['state']);
        if ($entry->boolean('confirmed') && $entry->isSound()) {
            $store->put(array_values(array_map(static fn (array $row): HaulLine => $row['line'], $new)), $account);
            $toast->say('{count, plural, one {One cloth is} other {# cloths are}} in the stash; {left, plural, =0 {no row was} one {one row was} other {# rows were}} there already.', ['count' => (string) \count($new), 'left' => (string) (\count($rows) - \count($new))], $this->generateUrl('haul_undo'));

            return $this->redirectToRoute('cloths', ['sort' => 'newest']);
        }

        return $this->render('cloth/csv.html.twig', [
            'table' => $table,
            'columns' => $columns,
            'rows' => $rows,
            'new' => \count($new),
            'doubtful' => \count(array_filter($new, static fn (array $row): bool => [] !== $row['line']->doubts)),
            'text' => null === $table ? '' : base64_encode($this->bytes($request, $entry)),
            'faults' => $entry->faults(),
        ], new Response(status: $entry->status()));
    }

    /** One row a cut, with the headings that are read back here. */
    #[Route('/out', name: 'cloth_csv_out', methods: ['GET'])]
    public function export(#[CurrentUser] Account $account): Response
    {
        $stream = fopen('php://temp', 'r+');
        if (false === $stream) {
            throw new \RuntimeException('No memory for a table.');
        }
        fwrite($stream, "\xEF\xBB\xBF");
        fputcsv($stream, ['Name', 'Length (cm)', 'Width (cm)', 'Fibres', 'Type', 'Weight (g/m²)', 'Colour', 'Print', 'Price per metre', 'Place', 'State', 'Notes'], ',', '"', '');
        foreach ($this->stash->all($account) as $cloth) {
            foreach ([] === $cloth->cuts ? [null] : $cloth->cuts as $cut) {
                fputcsv($stream, array_map(self::harmless(...), [
                    $cloth->name,
                    null === $cut?->length ? '' : (string) ($cut->length->millimetres() / 10),
                    null === $cloth->width ? '' : (string) ($cloth->width->full->millimetres() / 10),
                    $cloth->fibres->typed(),
                    $cloth->type->value ?? $cloth->structure->value,
                    (string) $cloth->weight?->grams,
                    implode(' ', $cloth->colours),
                    $cloth->print->value,
                    Entry::price($cloth->pricePerMetre),
                    $cloth->place,
                    true === $cut?->washed ? 'washed' : '',
                    $cloth->notes,
                ]), ',', '"', '');
            }
        }
        rewind($stream);

        return new Response((string) stream_get_contents($stream), headers: ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="octavum-cloth.csv"']);
    }

    /** A cell that a spreadsheet would take for a formula is marked as text. */
    private static function harmless(string $cell): string
    {
        return 1 === preg_match('/^[=+\-@\t]/', $cell) ? "'".$cell : $cell;
    }

    private function table(Request $request, Entry $entry): ?CsvTable
    {
        $bytes = $this->bytes($request, $entry);
        if ('' === $bytes || \strlen($bytes) > self::MOST_BYTES) {
            $entry->fault('file', '' === $bytes ? new Sentence('Choose a file first: a table saved as CSV.') : new Sentence('This file is larger than 3 MB: split it.'));

            return null;
        }

        return $entry->attempt('file', static fn (): CsvTable => CsvTable::of($bytes));
    }

    private function bytes(Request $request, Entry $entry): string
    {
        $file = $request->files->get('file');

        return $file instanceof UploadedFile && $file->isValid() ? $file->getContent() : (string) base64_decode($entry->raw('text'), true);
    }

    /** @return array<int, ?Column> by position */
    private function columns(CsvTable $table, Entry $entry): array
    {
        $columns = $this->reader->columns($table);
        foreach ($entry->rows('columns') as $i) {
            if (\array_key_exists((int) $i, $columns)) {
                $columns[(int) $i] = Column::tryFrom($entry->raw('columns.'.$i));
            }
        }

        return $columns;
    }

    /**
     * @param array<int, ?Column> $columns
     *
     * @return array<int, array{state: 'new'|'double'|'there', line: HaulLine, of: string}> by number in the file
     */
    private function rows(CsvTable $table, array $columns, Account $account): array
    {
        $system = $this->settings->of($account)->system;
        $there = [];
        foreach ($this->stash->all($account) as $cloth) {
            $there[$this->keyOf($cloth, $cloth->cuts)] = true;
            foreach ($cloth->cuts as $cut) {
                $there[$this->keyOf($cloth, [$cut])] = true;
            }
        }
        $doubles = $this->reader->doubles($table);
        $rows = [];
        foreach ($table->rows as $number => $cells) {
            $line = $this->reader->line($table->headings, $cells, $columns, $system);
            $rows[$number] = ['state' => isset($doubles[$number]) ? 'double' : (isset($there[$this->reader->key($line)]) ? 'there' : 'new'), 'line' => $line, 'of' => $doubles[$number] ?? ''];
        }

        return $rows;
    }

    /** @param list<Cut> $cuts */
    private function keyOf(Cloth $cloth, array $cuts): string
    {
        return CsvReader::keyOf($cloth->name, $cloth->width?->full->micrometres, array_map(static fn (Cut $cut): ?int => ([] === $cut->ledger ? null : $cut->ledger[0]->length ?? $cut->length)?->micrometres, $cuts));
    }
}
