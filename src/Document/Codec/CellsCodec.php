<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Measure\Length;
use Octavum\Document\Json\Node;

/** Lengths by size: a list with one for each, null where nothing is printed. */
final readonly class CellsCodec
{
    /**
     * @param list<string> $sizes
     *
     * @return array<string, Length> by size
     */
    public function read(Node $node, array $sizes): array
    {
        $lengths = $node->items();
        if (\count($lengths) !== \count($sizes)) {
            $node->fault(
                'There are {lengths} lengths for {sizes} sizes: one for each is expected, null where the envelope has none.',
                lengths: \count($lengths),
                sizes: \count($sizes),
            );
        }
        $cells = [];
        foreach ($sizes as $i => $size) {
            $length = ($lengths[$i] ?? null)?->length();
            if (null !== $length) {
                $cells[$size] = $length;
            }
        }

        return $cells;
    }

    /**
     * @param array<int|string, Length> $cells by size
     * @param list<string>              $sizes
     *
     * @return list<float|int|null>
     */
    public function write(array $cells, array $sizes): array
    {
        return array_map(static fn (string $size): float|int|null => ($cells[$size] ?? null)?->millimetres(), $sizes);
    }
}
