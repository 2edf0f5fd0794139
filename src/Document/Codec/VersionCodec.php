<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Body\Feature;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\PieceSet;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A version with its table, its notions and its pieces. */
final readonly class VersionCodec
{
    public function __construct(private TableCodec $tables = new TableCodec(), private PieceCodec $pieces = new PieceCodec())
    {
    }

    public function read(Node $node): Version
    {
        $node->object(['id', 'name', 'sizes', 'units', 'requirements', 'notions', 'minutes', 'notes', 'pieces', 'features']);
        $sizes = $node->at('sizes')->texts(20);
        if (\count(array_unique($sizes)) !== \count($sizes)) {
            $node->at('sizes')->fault('Each size may stand here only once.');
        }

        return new Version(
            $node->at('id')->name(60),
            $node->at('name')->name(60),
            $this->tables->read($sizes, $node->at('requirements'), $node->at('units')->choice(System::class)),
            notions: $node->at('notions')->texts(200),
            minutes: $node->at('minutes')->integer(0, 100_000),
            notes: $node->at('notes')->text(),
            pieces: PieceSet::of($this->pieces->read($node->at('pieces')), $sizes),
            features: $node->at('features')->choices(Feature::class, 50),
        );
    }

    /** @return array<string, mixed> */
    public function write(Version $version): array
    {
        return Fields::known([
            'id' => $version->id,
            'name' => $version->name,
            'minutes' => $version->minutes,
            'notions' => $version->notions,
            'notes' => $version->notes,
            'sizes' => $version->table->sizes,
            'units' => $version->table->printed?->value,
            'requirements' => $this->tables->write($version->table),
            'pieces' => $this->pieces->write($version->pieces->all()),
            'features' => array_map(static fn (Feature $feature): string => $feature->value, $version->features),
        ]);
    }
}
