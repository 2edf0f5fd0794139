<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What a snippet does in a flame, and what that says of its fibres. */
final readonly class BurnTest
{
    public const FLAME = ['flares' => FibreFamily::Cellulose, 'curls' => FibreFamily::Protein, 'melts' => FibreFamily::Synthetic];
    public const SMELL = ['paper' => FibreFamily::Cellulose, 'hair' => FibreFamily::Protein, 'chemical' => FibreFamily::Synthetic];
    public const RESIDUE = ['ash' => FibreFamily::Cellulose, 'crumbly' => FibreFamily::Protein, 'bead' => FibreFamily::Synthetic];

    /** Three signs that agree name a family; signs that do not are those of a blend. */
    public function family(FibreFamily $flame, FibreFamily $smell, FibreFamily $residue): FibreFamily
    {
        return $flame === $smell && $smell === $residue ? $flame : FibreFamily::Mixed;
    }
}
