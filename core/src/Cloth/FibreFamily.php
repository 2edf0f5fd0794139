<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What a burn test can tell: never a fibre for certain, and never per cent. */
enum FibreFamily: string
{
    case Cellulose = 'cellulose';
    case Protein = 'protein';
    case Synthetic = 'synthetic';
    case Mixed = 'a mixture';

    /** @return non-empty-list<Fibre> those it may be */
    public function fibres(): array
    {
        return match ($this) {
            self::Cellulose => [Fibre::Cotton, Fibre::Linen, Fibre::Hemp, Fibre::Viscose, Fibre::Lyocell, Fibre::Modal],
            self::Protein => [Fibre::Wool, Fibre::Silk],
            self::Synthetic => [Fibre::Polyester, Fibre::Nylon, Fibre::Acrylic],
            self::Mixed => [Fibre::Other],
        };
    }
}
