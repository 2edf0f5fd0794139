<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Measure\Length;

/** A lay that keeps what makes a cloth enough. */
final readonly class KeptLay
{
    /**
     * @param bool   $sound    the judge found nothing wrong, and every piece is there
     * @param Length $saves    what the changes of shape take less: kept as an alteration
     * @param bool   $isEnough with those changes it goes on the cut
     */
    public function __construct(
        public LaySetup $setup,
        public Lay $lay,
        public bool $sound,
        public Length $saves,
        public bool $isEnough,
    ) {
    }
}
