<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Core\Match\Proposal;
use Octavum\Core\Shopping\Curve;

/** What a cloth can become, as bench/cloth.html.twig shows it. */
final readonly class ClothPage
{
    /**
     * @param array<string, list<Row>>      $rows    by group, the first of each
     * @param array<string, list<Proposal>> $more    by group, those that follow them
     * @param array<string, list<Proposal>> $refused by the reason, which is a sentence of the first
     * @param ?Curve                        $curve   of a cloth that is still to be bought
     * @param int                           $all     versions looked at
     */
    public function __construct(
        public Lying $lying,
        public Roll $roll,
        public array $rows,
        public array $more,
        public array $refused,
        public ?Curve $curve,
        public int $all,
    ) {
    }
}
