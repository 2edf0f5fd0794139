<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Measure\Length;
use Octavum\Core\Remedy\Attempts;
use Octavum\Core\Remedy\Change;

/** What may be done about a shortfall, as match/_enough.html.twig shows it. */
final readonly class EnoughPage
{
    /**
     * @param list<Change>                $chosen what is done
     * @param ?Length                     $need   with what is ticked; null when it does not go on the cloth that way
     * @param bool                        $laid   it is enough as it is, laid out
     * @param array<string, CounterOffer> $toBuy  by the key of a change, and under none for all of it anew
     */
    public function __construct(
        public EnoughCase $case,
        public Attempts $attempts,
        public array $chosen,
        public ?Length $need,
        public GapBar $bar,
        public bool $laid,
        public array $toBuy,
    ) {
    }
}
