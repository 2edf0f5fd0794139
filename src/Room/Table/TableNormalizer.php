<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Laid\Hem;
use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\FaultWords;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Lay\Way\Ways;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Shape\Outline;

/**
 * What the cutting table in the browser draws and moves, as plain arrays for JSON. Millimetres.
 * Longer than other files: what is sent is written out field by field.
 */
final readonly class TableNormalizer
{
    public function __construct(private SentenceWriter $sentences, private AccountSettings $settings)
    {
    }

    /** @return array<string, mixed> */
    public function normalize(Setup $setup): array
    {
        $lay = $setup->lay;
        $names = $lay->names();
        $pieces = [];
        foreach ($lay->pieces as $id => [$garment, $piece, $laid]) {
            $flat = $laid->flat();
            $pieces[$id] = [
                'id' => $id,
                'name' => $piece->name,
                'label' => $names[$id],
                'garment' => $garment,
                'quantity' => $piece->quantity,
                'grain' => $piece->grain->value,
                'instead' => array_map(static fn ($instead): string => $instead->value, $piece->instead),
                'off' => \in_array($id, $lay->rules->off, true),
                'eased' => $laid->eased,
                'edged' => null !== $laid->edge,
                'curve' => $this->curve($flat),
                'match' => $this->match($laid->match),
                'flat' => $this->shape($flat),
                'half' => $laid->onFold ? $this->shape($laid->outline) : null,
            ];
        }
        $ways = [];
        foreach (Fold::cases() as $fold) {
            $request = $lay->request([$fold]);
            if (null === $request) {
                continue;
            }
            $way = (new Ways(10))->prepare($request, $fold);
            $ways[$fold->value] = [
                'name' => $this->sentences->write(new Sentence($fold->words()), $this->settings->tape()),
                'refused' => null === $way->refused ? null : $this->sentence([$way->refused], $names),
                'doubled' => $way->doubled,
                'lanes' => array_map(
                    static fn (Lane $lane): array => [
                        'sheet' => $lane->sheet,
                        'width' => $lane->width,
                        'length' => is_infinite($lane->length) ? null : $lane->length,
                        'layers' => $lane->layers,
                        'fold' => $lane->fold,
                        'offset' => $lane->offset,
                        'down' => $lane->down,
                    ],
                    $way->lanes,
                ),
                'items' => array_map(
                    static fn (Item $item): array => [
                        'piece' => $item->piece->id,
                        'copy' => $item->copy,
                        'layers' => $item->layers,
                        'onFold' => $item->onFold,
                        'held' => $item->held,
                        'ways' => array_map(static fn (Variant $variant): array => [$variant->turn, $variant->flipped], $item->variants),
                    ],
                    $way->items,
                ),
            ];
        }

        return [
            'setup' => ['oneWay' => $lay->rules->oneWay, 'gap' => $lay->rules->gap] + $setup->asked,
            'sheets' => array_map(
                $this->sheet(...),
                $lay->sheets,
                array_keys($lay->sheets),
                [] === $ways ? array_fill(0, \count($lay->sheets), null) : $lay->request([Fold::Flat])->sheets ?? [],
            ),
            'garments' => array_map(
                static fn ($garment, string $known, array $sizes): array => [
                    'sizes' => $sizes,
                    'name' => $garment->name,
                    'size' => $garment->size,
                    'known' => $known,
                    'project' => $garment->project,
                    'version' => $garment->version,
                    'role' => $garment->role->value,
                ],
                $lay->garments,
                $setup->known,
                $setup->sizes,
            ),
            'pieces' => (object) $pieces,
            'ways' => (object) $ways,
            'marks' => $this->settings->tape()->marks($setup->reach()),
            'repeat' => null === $lay->repeat() ? null : $lay->repeat()->millimetres(),
        ];
    }

    /**
     * @param list<Placement> $placements
     *
     * @return list<array<string, mixed>>
     */
    public function places(array $placements): array
    {
        return array_map(
            static fn (Placement $p): array => [
                'piece' => $p->piece->id,
                'copy' => $p->copy,
                'sheet' => $p->sheet,
                'turn' => $p->turn,
                'flipped' => $p->flipped,
                'layers' => $p->layers,
                'x' => $p->x,
                'y' => $p->y,
            ],
            $placements,
        );
    }

    /** @return array{fold: string, places: list<array<string, mixed>>} */
    public function saved(SavedLay $lay): array
    {
        return [
            'fold' => $lay->fold->value,
            'places' => array_map(
                static fn (LaidPiece $p): array => [
                    'piece' => $p->garment.'/'.$p->piece,
                    'copy' => $p->copy,
                    'sheet' => 's'.$p->sheet,
                    'turn' => $p->turn,
                    'flipped' => $p->flipped,
                    'layers' => $p->layers,
                    'x' => $p->x,
                    'y' => $p->y,
                    'locked' => $p->locked,
                ],
                $lay->pieces,
            ),
        ];
    }

    private function rest(Length $has, Length $used): string
    {
        $isPast = $used->micrometres > $has->micrometres;

        return $this->sentences->write(
            new Sentence($isPast ? '{length} past the end' : '{length} left of it', [
                'length' => $isPast ? Figure::needed($used->minus($has)) : Figure::owned($has->minus($used)),
            ]),
            $this->settings->tape(),
        );
    }

    /**
     * What a lay comes to, written in the reader's units.
     *
     * @param list<Fault> $faults of the judge
     *
     * @return array<string, mixed>
     */
    public function answer(Setup $setup, Lay $lay, array $faults): array
    {
        $names = $setup->lay->names();
        $used = [];
        $missing = [];
        foreach ($setup->lay->sheets as $i => $sheet) {
            $length = Length::ofMillimetres(round($lay->used['s'.$i] ?? 0, 1));
            $used[] = [
                'name' => $this->sheetName($sheet, $i),
                'millimetres' => $length->millimetres(),
                'used' => $this->write(Figure::needed($length)),
                'rest' => null === $sheet->length ? null : $this->rest($sheet->length, $length),
            ];
        }
        foreach ($lay->unplaced as $unplaced) {
            $missing[] = ($names[$unplaced->piece] ?? $unplaced->piece).' '.$unplaced->copy;
        }
        $folds = [];
        foreach ($lay->folds as $fold => $length) {
            $folds[] = [
                'name' => $this->sentences->write(new Sentence(Fold::from($fold)->words()), $this->settings->tape()),
                'length' => $length instanceof Fault ? null : $this->write(Figure::needed(Length::ofMillimetres($length))),
                'why' => $length instanceof Fault ? $this->fault($length, $names) : null,
            ];
        }

        return [
            'status' => $lay->status->value,
            'fold' => $lay->fold->value,
            'foldName' => $this->sentences->write(new Sentence($lay->fold->words()), $this->settings->tape()),
            'used' => $used,
            'total' => $this->write(Figure::needed(Length::ofMillimetres(round(array_sum($lay->used), 1)))),
            'utilisation' => (int) round(100 * $lay->measure->utilisation),
            'bound' => $lay->measure->bound > 0 ? $this->write(Figure::exact(Length::ofMillimetres($lay->measure->bound))) : null,
            'missing' => $missing,
            'why' => [] === $lay->unplaced ? null : $this->sentence($lay->unplaced[0]->reasons, $names),
            'faults' => array_map(
                fn (Fault $fault): string => $this->sentence([$fault], $names),
                // how many are missing stands in a list of its own
                array_values(array_filter($faults, static fn (Fault $fault): bool => [] === $missing || FaultKind::Count !== $fault->kind)),
            ),
            'folds' => $folds,
            'leftovers' => array_map(
                fn (array $free): array => [
                    'sheet' => $free['cut'],
                    'x' => $free['x'],
                    'y' => $free['y'],
                    'length' => $free['length'],
                    'width' => $free['width'],
                    'says' => $this->write(Figure::owned(Length::ofMillimetres($free['length'])))
                        .' × '
                        .$this->write(Figure::owned(Length::ofMillimetres($free['width']))),
                ],
                $lay->leftovers,
            ),
        ];
    }

    /**
     * @param list<Fault>           $faults
     * @param array<string, string> $names
     */
    private function sentence(array $faults, array $names): string
    {
        return ucfirst(implode('; ', array_map(fn (Fault $fault): string => $this->fault($fault, $names), $faults))).'.';
    }

    /** @param array<string, string> $names */
    private function fault(Fault $fault, array $names): string
    {
        return $this->sentences->write((new FaultWords($names))->say($fault), $this->settings->tape());
    }

    public function sheetName(LaidSheet $sheet, int $i): string
    {
        if (null === $sheet->cloth || null === $sheet->cut) {
            return $this->sentences->write(
                new Sentence('a roll, {width} usable', ['width' => Figure::width($sheet->width)]),
                $this->settings->tape(),
            );
        }

        return implode(', ', array_filter([$sheet->cloth->name, $sheet->cut->label], static fn (string $part): bool => '' !== $part));
    }

    /** @return array{points: list<array{float, float}>, parts: list<list<array{float, float}>>} */
    private function shape(Outline $outline): array
    {
        return [
            'points' => array_map(static fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $outline->points),
            'parts' => $outline->convexParts(),
        ];
    }

    /** @return ?array<string, mixed> where the print wants a piece */
    private function match(?Repeat $match): ?array
    {
        return null === $match
            ? null
            : [
                'length' => $match->length,
                'width' => $match->width,
                'x' => $match->x,
                'y' => $match->y,
                'at' => $match->at,
            ];
    }

    /** How far a hem is from straight; null for one that is. */
    private function curve(Outline $flat): ?string
    {
        $curve = (new Hem())->curve($flat);

        return null === $curve
            ? null
            : $this->sentences->write(
                new Sentence('its hem curves by {length}: only its lowest point lies there', [
                    'length' => Figure::exact(Length::ofMillimetres(round($curve))),
                ]),
                $this->settings->tape(),
            );
    }

    /** @return array<string, mixed> */
    private function sheet(LaidSheet $sheet, int $i, ?Sheet $laid): array
    {
        return [
            'id' => 's'.$i,
            'name' => $this->sheetName($sheet, $i),
            'says' => null === $sheet->length
                    ? ''
                    : $this->write(Figure::owned($sheet->length)).' × '.$this->write(Figure::width($sheet->width)),
            'width' => $sheet->width->millimetres(),
            'length' => $sheet->length?->millimetres(),
            'cloth' => $sheet->cloth?->id,
            'colours' => $sheet->cloth->look->colours ?? [],
            'missing' => $laid?->missingParts() ?? [],
            'repeat' => $sheet->cloth?->look->repeat?->millimetres(),
            'motif' => $sheet->cloth?->look->motif?->millimetres(),
            'oneWay' => true === $sheet->cloth?->isOneWay(),
        ];
    }

    public function length(float $millimetres): string
    {
        return $this->write($this->figure($millimetres));
    }

    public function figure(float $millimetres): Figure
    {
        return Figure::needed(Length::ofMillimetres(round($millimetres, 1)));
    }

    private function write(Figure $figure): string
    {
        return $this->settings->tape()->write($figure);
    }
}
