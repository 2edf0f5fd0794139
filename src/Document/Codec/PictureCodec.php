<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Project\Picture;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Pictures kept with a project; the files themselves are not in a document. */
final readonly class PictureCodec
{
    /** @return list<Picture> */
    public function read(Node $list): array
    {
        return array_map(static function (Node $node): Picture {
            $node->object(['file', 'note']);

            return new Picture($node->at('file')->name(26), $node->at('note')->text(200));
        }, $list->items(200));
    }

    /**
     * @param list<Picture> $pictures
     *
     * @return list<array<string, mixed>>
     */
    public function write(array $pictures): array
    {
        return array_map(
            static fn (Picture $picture): array => Fields::known(['file' => $picture->file, 'note' => $picture->note]),
            $pictures,
        );
    }
}
