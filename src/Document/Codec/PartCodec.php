<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\PartKind;
use Octavum\Document\Json\Node;

/** What a garment takes from other patterns. */
final readonly class PartCodec
{
    /** How many a garment may have. */
    public const MOST = 10;

    /**
     * @param array<string, array{Pattern, Version}> $versions by '#' and id
     *
     * @return list<Part>
     */
    public function read(Node $list, array $versions): array
    {
        return array_map(static function (Node $node) use ($versions): Part {
            $node->object(['kind', 'version', 'size', 'pieces', 'instead', 'takes']);
            [$pattern, $version] = $node->at('version')->named($versions, 'version') ?? [null, null];

            return new Part(
                $node->at('kind')->choice(PartKind::class) ?? PartKind::Other,
                $pattern,
                $version,
                size: $node->at('size')->optionalText(20),
                pieces: $node->at('pieces')->texts(60),
                instead: $node->at('instead')->texts(60),
                stated: $node->at('takes')->length(),
            );
        }, $list->items(50));
    }

    /**
     * @param list<Part> $parts
     *
     * @return list<array<string, string|int|float|list<string>>>
     */
    public function write(array $parts): array
    {
        return array_map(static fn (Part $part): array => array_filter([
            'kind' => $part->kind->value,
            'version' => $part->version?->id,
            'size' => $part->size,
            'pieces' => $part->pieces,
            'instead' => $part->instead,
            'takes' => $part->stated?->millimetres(),
        ], static fn (string|array|int|float|null $value): bool => null !== $value && [] !== $value), $parts);
    }
}
