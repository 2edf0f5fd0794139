<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Measure\Length;

/** A lay's setup as read, with what the page must know of it. */
final readonly class Setup
{
    /**
     * @param array<string, mixed> $asked   as it came, to be sent again
     * @param list<list<string>>   $sizes   of each garment that may be laid in another; none for a project's
     * @param list<?string>        $options of each garment, the option of its project that it is laid for; null for what leads
     * @param list<string>         $known   of each garment: "pieces", "calibrated" or "rough" blocks, or "none"
     */
    public function __construct(
        public LaySetup $lay,
        public array $asked,
        public array $known,
        public array $sizes,
        public array $options = [],
    ) {
    }

    /** How far anything can lie from the end: on a roll all pieces one after the other, and a metre beyond. */
    public function reach(): Length
    {
        $reach = 0.0;
        foreach ($this->lay->pieces as [, $piece, $laid]) {
            $reach += $piece->quantity * max($laid->flat()->length(), $laid->flat()->width());
        }
        foreach ($this->lay->sheets as $sheet) {
            $reach = max($reach, (float) $sheet->length?->millimetres());
        }

        return Length::ofMillimetres(round(1000 + $reach));
    }
}
