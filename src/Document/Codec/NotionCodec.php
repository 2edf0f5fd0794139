<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A notion in the tins. */
final readonly class NotionCodec
{
    public function read(Node $node): Notion
    {
        $node->object(['id', 'kind', 'measure', 'count', 'length', 'name', 'place', 'notes', 'expected']);

        return new Notion(
            $node->at('id')->name(60),
            $node->at('kind')->choice(NotionKind::class) ?? NotionKind::Other,
            $node->at('measure')->length(),
            count: $node->at('count')->integer(0, 10_000),
            length: $node->at('length')->length(),
            name: $node->at('name')->text(120),
            place: $node->at('place')->text(120),
            notes: $node->at('notes')->text(),
            expected: $node->at('expected')->date(),
        );
    }

    /** @return array<string, mixed> */
    public function write(Notion $notion): array
    {
        return Fields::known([
            'id' => $notion->id,
            'kind' => $notion->kind->value,
            'measure' => $notion->measure?->millimetres(),
            'count' => $notion->count,
            'length' => $notion->length?->millimetres(),
            'name' => $notion->name,
            'place' => $notion->place,
            'notes' => $notion->notes,
            'expected' => $notion->expected?->format('Y-m-d'),
        ]);
    }
}
