<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Length;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A cut, its ledger, and what is missing from it. */
final readonly class CutCodec
{
    public const MOST_BITES = 20;

    public function read(Node $node): Cut
    {
        $node->object(['id', 'label', 'state', 'expected', 'ledger', 'bites', 'width']);

        $width = $node->at('width')->length();

        return new Cut(
            $node->at('id')->name(60),
            $this->ledger($node->at('ledger')),
            $node->at('label')->text(60),
            state: $node->at('state')->choice(CutState::class) ?? CutState::Arrived,
            expected: $node->at('expected')->date(),
            bites: $this->bites($node->at('bites')),
            width: null === $width ? null : $node->at('width')->attempt(static fn (): Length => Cut::ownWidth($width)),
        );
    }

    /** @return array<string, mixed> */
    public function write(Cut $cut): array
    {
        return Fields::known([
            'id' => $cut->id,
            'label' => $cut->label,
            'state' => $cut->state->value,
            'expected' => $cut->expected?->format('Y-m-d'),
            'ledger' => $this->writeLedger($cut->ledger),
            'bites' => $this->writeBites($cut->bites),
            'width' => $cut->width?->millimetres(),
        ]);
    }

    /** @return list<LedgerEntry> */
    public function ledger(Node $node): array
    {
        return array_map(static function (Node $entry): LedgerEntry {
            $entry->object(['on', 'kind', 'length', 'note', 'was', 'colour']);

            return new LedgerEntry(
                $entry->at('on')->requiredDate(),
                $entry->at('kind')->choice(LedgerKind::class) ?? LedgerKind::Bought,
                $entry->at('length')->lengthLeft(),
                note: $entry->at('note')->text(),
                was: $entry->at('was')->colour(),
                colour: $entry->at('colour')->colour(),
            );
        }, $node->items());
    }

    /**
     * @param list<LedgerEntry> $ledger
     *
     * @return list<array<string, mixed>>
     */
    public function writeLedger(array $ledger): array
    {
        return array_map(
            static fn (LedgerEntry $entry): array => Fields::known([
                'on' => $entry->on->format('Y-m-d'),
                'kind' => $entry->kind->value,
                'length' => $entry->length?->millimetres(),
                'note' => $entry->note,
                'was' => $entry->was,
                'colour' => $entry->colour,
            ]),
            $ledger,
        );
    }

    /** @return list<Bite> */
    public function bites(Node $node): array
    {
        return array_map(static function (Node $bite): Bite {
            $bite->object(['from', 'below', 'length', 'width']);
            $place = static fn (Node $at): Length => $at->lengthLeft() ?? Length::zero();

            return new Bite(
                $place($bite->at('from')),
                $place($bite->at('below')),
                $bite->at('length')->requiredLength(),
                $bite->at('width')->requiredLength(),
            );
        }, $node->items(self::MOST_BITES));
    }

    /**
     * @param list<Bite> $bites
     *
     * @return list<array{from: float|int, below: float|int, length: float|int, width: float|int}>
     */
    public function writeBites(array $bites): array
    {
        return array_map(
            static fn (Bite $bite): array => [
                'from' => $bite->from->millimetres(),
                'below' => $bite->below->millimetres(),
                'length' => $bite->length->millimetres(),
                'width' => $bite->width->millimetres(),
            ],
            $bites,
        );
    }
}
