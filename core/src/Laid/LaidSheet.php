<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;

/** A cut, or an endless roll, as it was when a lay was made on it. */
final readonly class LaidSheet
{
    /**
     * @param ?Cut    $cut    null for a roll, or a cut that is no longer known
     * @param Length  $width  usable
     * @param ?Length $length to cut from; null for a roll
     * @param Length  $used   from the cut end
     * @param string  $mark   of what is missing from the cut, and of the repeat where it was matched
     */
    public function __construct(
        public ?Cloth $cloth,
        public ?Cut $cut,
        public Length $width,
        public ?Length $length,
        public Length $used,
        public string $mark = '',
    ) {
    }

    /** What a lay goes by besides width and length. */
    public static function markOf(Cloth $cloth, Cut $cut, bool $match): string
    {
        $bites = array_map(
            static fn (Bite $bite): string => implode(',', [
                $bite->from->micrometres,
                $bite->below->micrometres,
                $bite->length->micrometres,
                $bite->width->micrometres,
            ]),
            $cut->bites,
        );
        sort($bites);

        return substr(hash('xxh128', implode(';', $bites).'|'.($match ? $cloth->look->repeat?->micrometres : '')), 0, 12);
    }

    public function isRoll(): bool
    {
        return null === $this->length;
    }
}
