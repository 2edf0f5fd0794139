<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Project\Season;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A season with its hours. */
final readonly class SeasonCodec
{
    public function read(Node $node): Season
    {
        $node->object(['id', 'name', 'starts', 'weeks', 'minutesPerWeek', 'notes', 'weeksOff', 'most']);

        return new Season(
            $node->at('id')->name(60),
            $node->at('name')->name(),
            $node->at('starts')->requiredDate(),
            weeks: $node->at('weeks')->requiredInteger(1, 60),
            minutesPerWeek: $node->at('minutesPerWeek')->requiredInteger(0, 10_080),
            notes: $node->at('notes')->text(),
            off: $this->off($node),
            most: $node->at('most')->integer(1, 200),
        );
    }

    /** @return list<int> */
    private function off(Node $node): array
    {
        $weeks = $node->at('weeks')->integer(1, 60) ?? 1;
        $off = array_map(static fn (Node $one): ?int => $one->integer(1, $weeks), $node->at('weeksOff')->items(60));

        return array_values(array_unique(array_filter($off, is_int(...))));
    }

    /** @return array<string, mixed> */
    public function write(Season $season): array
    {
        return Fields::known([
            'id' => $season->id,
            'name' => $season->name,
            'starts' => $season->starts->format('Y-m-d'),
            'weeks' => $season->weeks,
            'minutesPerWeek' => $season->minutesPerWeek,
            'notes' => $season->notes,
            'weeksOff' => $season->off,
            'most' => $season->most,
        ]);
    }
}
