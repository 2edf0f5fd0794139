<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;

/** How a cloth looks: its print and its colours. */
final readonly class ClothLook
{
    /**
     * @param ?Direction   $direction as stated; null when nobody has said
     * @param ?Length      $repeat    length of the print's repeat, along the cloth
     * @param ?Length      $motif     how large the figures of its print are
     * @param list<string> $colours   #rrggbb, ground colour first
     */
    public function __construct(
        public PrintKind $print = PrintKind::Plain,
        public ?Direction $direction = null,
        public ?Length $repeat = null,
        public ?Length $motif = null,
        public array $colours = [],
    ) {
    }
}
