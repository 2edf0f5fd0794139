<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Measure\Length;

/** One kind of notion of one measure: as it lies in a tin, or as an envelope asks for it. */
final readonly class Notion
{
    /**
     * @param ?Length $measure the length of a zip, the width of elastic or binding, the size of a button or ring; null when not said
     * @param ?int    $count   of what goes by number; null when not said
     * @param ?Length $length  of what goes by length; null when not said
     * @param string  $name    what else was said of it: "horn", "invisible, navy"
     */
    public function __construct(
        public string $id,
        public NotionKind $kind,
        public ?Length $measure = null,
        public ?int $count = null,
        public ?Length $length = null,
        public string $name = '',
        public string $place = '',
        public string $notes = '',
    ) {
    }
}
