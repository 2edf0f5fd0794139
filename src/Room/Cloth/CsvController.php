<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Haul\Column;
use Octavum\Core\Haul\CsvReader;
use Octavum\Core\Haul\HaulLine;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Reading\CsvTable;
use Octavum\Input\Entry;
use Octavum\Input\TableEntry;
use Octavum\Page\Toast;
use Octavum\Store\Stash;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Cloth from a spreadsheet and to one. Nothing is saved until the preview is confirmed; a row twice is one cloth. */
#[Route('/cloth/csv', priority: 1)]
final class CsvController extends AbstractController
{
    public function __construct(
        private readonly AccountSettings $settings,
        private readonly Stash $stash,
        private readonly CsvReader $reader = new CsvReader(),
    ) {
    }

    #[Route('', name: 'cloth_csv', methods: ['GET', 'POST'])]
    public function import(Request $request, HaulStore $store, Toast $toast, #[CurrentUser] Account $account): Response
    {
        $entry = new Entry($request->request->all());
        $brought = TableEntry::of($request, $entry, Column::class);
        $rows = null === $brought->table ? [] : $this->rows($brought->table, $brought->columns, $account);
        $new = array_filter($rows, static fn (array $row): bool => 'new' === $row['state']);
        if ($entry->boolean('confirmed') && $entry->isSound()) {
            $store->put(array_values(array_map(static fn (array $row): HaulLine => $row['line'], $new)), $account);
            $toast->say(
                '{count, plural, one {One cloth is} other {# cloths are}} in the stash; {left, plural, =0 {no row was} one {one row was} other {# rows were}} there already.',
                ['count' => (string) \count($new), 'left' => (string) (\count($rows) - \count($new))],
                $this->generateUrl('haul_undo'),
            );

            return $this->redirectToRoute('cloths', ['sort' => 'newest']);
        }
        $tape = $this->settings->tape();

        return $this->render(
            'part/csv.html.twig',
            [
                'heading' => 'Cloth from a spreadsheet',
                'in_room' => 'cloths',
                'out' => 'cloth_csv_out',
                'back' => 'cloths',
                'put' => 'Put {count, plural, one {one cloth} other {# cloths}} into the stash',
                'columns' => Column::class,
                'heads' => ['Cloth', 'Length', 'Width', 'Fibres'],
                'brought' => $brought,
                'rows' => array_map(
                    static fn (array $row): array => $row + [
                        'cells' => [
                            $row['line']->name.($row['line']->count > 1 ? ' × '.$row['line']->count : ''),
                            null === $row['line']->length ? '' : $tape->write(Figure::owned($row['line']->length)),
                            null === $row['line']->width ? '' : $tape->write(Figure::width($row['line']->width)),
                            $row['line']->fibres->typed(),
                        ],
                        'says' => [...$row['line']->doubts, ...$row['line']->missing()],
                    ],
                    $rows,
                ),
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** One row a cut, with the headings that are read back here. */
    #[Route('/out', name: 'cloth_csv_out', methods: ['GET'])]
    public function export(#[CurrentUser] Account $account): Response
    {
        $rows = [];
        foreach ($this->stash->all($account) as $cloth) {
            foreach ([] === $cloth->cuts ? [null] : $cloth->cuts as $cut) {
                $rows[] = [
                    $cloth->name,
                    null === $cut?->length ? '' : (string) ($cut->length->millimetres() / 10),
                    null === $cloth->width ? '' : (string) ($cloth->width->full->millimetres() / 10),
                    $cloth->fibres->typed(),
                    $cloth->type->value ?? $cloth->structure->value,
                    (string) $cloth->weight?->grams,
                    implode(' ', $cloth->colours),
                    $cloth->print->value,
                    Direction::None === $cloth->statedDirection ? 'no nap' : $cloth->statedDirection->value ?? '',
                    $cloth->care->value ?? '',
                    Entry::price($cloth->pricePerMetre),
                    $cloth->place,
                    true === $cut?->washed ? 'washed' : '',
                    $cloth->notes,
                ];
            }
        }

        return new Response(
            TableEntry::write(
                [
                    'Name',
                    'Length (cm)',
                    'Width (cm)',
                    'Fibres',
                    'Type',
                    'Weight (g/m²)',
                    'Colour',
                    'Print',
                    'Direction',
                    'Care',
                    'Price per metre',
                    'Place',
                    'State',
                    'Notes',
                ],
                $rows,
            ),
            headers: ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="octavum-cloth.csv"'],
        );
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
        $doubles = $table->doubles();
        $rows = [];
        foreach ($table->rows as $number => $cells) {
            if ($this->reader->isSum($cells)) {
                continue;
            }
            $line = $this->reader->line($table->headings, $cells, $columns, $system);
            $rows[$number] = [
                'state' => isset($doubles[$number]) ? 'double' : (isset($there[$this->reader->key($line)]) ? 'there' : 'new'),
                'line' => $line,
                'of' => $doubles[$number] ?? '',
            ];
        }

        return $rows;
    }

    /** @param list<Cut> $cuts */
    private function keyOf(Cloth $cloth, array $cuts): string
    {
        return CsvReader::keyOf(
            $cloth->name,
            $cloth->width?->full->micrometres,
            array_map(
                static fn (Cut $cut): ?int => ([] === $cut->ledger ? null : $cut->ledger[0]->length ?? $cut->length)?->micrometres,
                $cuts,
            ),
        );
    }
}
