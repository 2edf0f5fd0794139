<?php

declare(strict_types=1);

namespace Octavum\Strip;

/** A claim chalked on a strip, in pixels; what runs past the end of the cloth is drawn as missing. */
final readonly class Mark
{
    /**
     * @param string $label  the project's mark, shortened to what fits; empty when nothing does
     * @param bool   $own    of the project the strip is drawn for
     * @param string $pieces path of the pieces laid out, seen from the cut end; empty where a length is claimed
     */
    public function __construct(
        public string $project,
        public string $label,
        public bool $own,
        public MarkReach $reach,
        public bool $toBuy = false,
        public string $pieces = '',
    ) {
    }

    public function labelWidth(): float
    {
        return 6.4 * mb_strlen($this->label) + 10;
    }
}
