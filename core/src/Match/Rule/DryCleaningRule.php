<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Piece\Garment;

/** Dry cleaning is a regret for what is worn daily. */
final readonly class DryCleaningRule implements Rule
{
    private const DAILY = [
        Garment::Tee,
        Garment::Shirt,
        Garment::Trousers,
        Garment::Shorts,
        Garment::Nightwear,
        Garment::Underwear,
        Garment::Apron,
        Garment::Bib,
    ];

    public function sees(Traits $cloth): array
    {
        return [$cloth->dryClean];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return $cloth->dryClean && ($asks->child || \in_array($asks->garment, self::DAILY, true))
            ? Reason::doubt(1, 'For dry cleaning only, and this is worn and washed often: you will regret it.')
            : null;
    }
}
