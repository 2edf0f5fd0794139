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
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\TableEntry;
use Octavum\Input\TablePage;
use Octavum\Input\TablePlace;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
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
    public function import(
        Request $request,
        HaulStore $store,
        Entry $entry,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        $brought = TableEntry::of($request, $entry, Column::class);
        $tape = $this->settings->tape();
        $system = $settings->system;
        $there = null === $brought->table ? [] : $this->keys($account);
        $rows = $brought->rows(
            fn (array $cells): ?HaulLine => $this->reader->isSum($cells)
                ? null
                : $this->reader->line($brought->table->headings ?? [], $cells, $brought->columns, $system),
            fn (HaulLine $line): bool => isset($there[$this->reader->key($line)]),
            static fn (HaulLine $line): array => [
                $line->name.($line->cuts->count > 1 ? ' × '.$line->cuts->count : ''),
                null === $line->cuts->length ? '' : $tape->write(Figure::owned($line->cuts->length)),
                null === $line->width ? '' : $tape->write(Figure::width($line->width)),
                $line->material->fibres->typed(),
            ],
            static fn (HaulLine $line): array => [...$line->reading->doubts, ...$line->missing()],
        );
        if ($entry->boolean('confirmed') && $entry->isSound()) {
            $new = TableEntry::fresh($rows);
            $store->put($new, $account, new Notice(
                '{count, plural, one {One cloth is} other {# cloths are}} in the stash; {left, plural, =0 {no row was} one {one row was} other {# rows were}} there already.',
                ['count' => (string) \count($new), 'left' => (string) (\count($rows) - \count($new))],
                $this->generateUrl('cloths'),
            ));

            return $this->redirectToRoute('cloths', ['sort' => 'newest']);
        }

        return $this->render(
            'part/csv.html.twig',
            [
                'page' => new TablePage(
                    'Cloth from a spreadsheet',
                    new TablePlace('cloths', 'cloth_csv_out', 'cloths'),
                    put: 'Put {count, plural, one {one cloth} other {# cloths}} into the stash',
                    columns: Column::class,
                    heads: ['Cloth', 'Length', 'Width', 'Fibres'],
                    brought: $brought,
                    rows: $rows,
                    faults: $entry->faults(),
                ),
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
                    $cloth->material->fibres->typed(),
                    $cloth->material->type->value ?? $cloth->material->structure->value,
                    (string) $cloth->material->weight?->grams,
                    implode(' ', $cloth->look->colours),
                    $cloth->look->print->value,
                    Direction::None === $cloth->look->direction ? 'no nap' : $cloth->look->direction->value ?? '',
                    $cloth->material->care->value ?? '',
                    Entry::price($cloth->purchase->pricePerMetre),
                    $cloth->keeping->place,
                    true === $cut?->washed ? 'washed' : '',
                    $cloth->keeping->notes,
                ];
            }
        }

        return TableEntry::file(
            'octavum-cloth.csv',
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
        );
    }

    /** @return array<string, true> of each cloth as a whole, and of each of its cuts */
    private function keys(Account $account): array
    {
        $there = [];
        foreach ($this->stash->all($account) as $cloth) {
            $there[$this->keyOf($cloth, $cloth->cuts)] = true;
            foreach ($cloth->cuts as $cut) {
                $there[$this->keyOf($cloth, [$cut])] = true;
            }
        }

        return $there;
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
