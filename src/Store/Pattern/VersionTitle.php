<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Octavum\Core\Piece\Garment;

/** What a version is chosen by, without building it. */
final readonly class VersionTitle
{
    /** @param list<string> $files of its pattern: ids */
    public function __construct(
        public string $id,
        public string $name,
        public string $number,
        public string $title,
        public string $maker,
        public Garment $garment,
        public array $files,
    ) {
    }
}
