<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Match\Proposal;
use Octavum\Core\Shopping\Curve;

/** What a cloth can become, as match/cloth.html.twig shows it. */
final readonly class ClothPage
{
    /** The first of the cloths. */
    public Lying $lying;

    /**
     * @param non-empty-list<array{Lying, Roll}> $rolls   each cloth with what hangs from it
     * @param array<string, list<Row>>           $rows    by group, the first of each; a version stands once, where it is best
     * @param array<string, list<Proposal>>      $more    by group, those that follow them
     * @param array<string, list<Proposal>>      $refused by the reason, which is a sentence of the first
     * @param ?Curve                             $curve   of one cloth that is still to be bought
     * @param int                                $all     versions looked at
     */
    public function __construct(
        public array $rolls,
        public array $rows,
        public array $more,
        public array $refused,
        public ?Curve $curve,
        public int $all,
    ) {
        $this->lying = $rolls[0][0];
    }

    /** @return list<Row> of so many patterns the version that is best, the best first */
    public function best(int $patterns): array
    {
        $best = [];
        foreach (array_merge(...array_values($this->rows)) as $row) {
            $best[$row->proposal->making->pattern->id] ??= $row;
        }

        return \array_slice(array_values($best), 0, $patterns);
    }
}
