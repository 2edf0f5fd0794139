<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Season\Lists\ListDates;
use Octavum\Core\Season\Lists\ListRule;
use Octavum\Core\Season\Lists\SewingList;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A list beside the seasons. */
final readonly class ListCodec
{
    public function read(Node $node): SewingList
    {
        $node->object(['id', 'name', 'starts', 'closes', 'target', 'rule', 'subject', 'projects', 'notes']);

        return new SewingList(
            $node->at('id')->name(60),
            $node->at('name')->name(),
            new ListDates($node->at('starts')->date(), $node->at('closes')->date()),
            target: $node->at('target')->integer(1, 1000),
            rule: $node->at('rule')->choice(ListRule::class),
            subject: $node->at('subject')->text(200),
            projects: array_values(
                array_unique(array_map(static fn (Node $item): string => $item->name(60), $node->at('projects')->items())),
            ),
            notes: $node->at('notes')->text(),
        );
    }

    /** @return array<string, mixed> */
    public function write(SewingList $list): array
    {
        return Fields::known([
            'id' => $list->id,
            'name' => $list->name,
            'starts' => $list->dates->starts?->format('Y-m-d'),
            'closes' => $list->dates->closes?->format('Y-m-d'),
            'target' => $list->target,
            'rule' => $list->rule?->value,
            'subject' => $list->subject,
            'projects' => $list->projects,
            'notes' => $list->notes,
        ]);
    }
}
