<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Measure\Length;

/** One kind of notion of one measure: as it lies in a tin, or as an envelope asks for it. */
final readonly class Notion
{
    /**
     * @param ?Length             $measure  the length of a zip, the width of elastic or binding, the size of a button or ring
     * @param ?int                $count    of what goes by number
     * @param ?Length             $length   of what goes by length; each of the three null when not said
     * @param string              $name     what else was said of it: "horn", "invisible, navy"
     * @param ?\DateTimeImmutable $expected about when it comes, of what is ordered; null for what is here
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
        public ?\DateTimeImmutable $expected = null,
    ) {
    }
}
