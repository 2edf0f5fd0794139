<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Strip\Strip;

/** A cut as pages of cloth show it. */
final readonly class CutRow
{
    /**
     * @param list<Reservation> $promises
     * @param ?Length           $free     what nobody was promised; null where the length is not known
     * @param list<Reservation> $perhaps  what options that do not lead might take
     */
    public function __construct(
        public Cut $cut,
        public ToCut $toCut,
        public Strip $strip,
        public array $promises,
        public ?Length $free,
        public array $perhaps,
    ) {
    }
}
