<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\NeedRequest;

/** What the own pieces of what is wanted came to when they were laid before, with nothing changed. */
final readonly class LaidNeed
{
    /** @param ?LayMemory $memory null where nobody lays: then nothing was */
    public function __construct(private Assumptions $assumptions, private ?LayMemory $memory)
    {
    }

    /** @return ?Length with its alterations; null while nobody has laid them on such cloth, and where parts of the cut are missing */
    public function find(NeedRequest $wanted, Cloth $cloth, Cut $cut): ?Length
    {
        if (null === $this->memory || [] !== $cut->bites) {
            return null;
        }
        $on = CuttingCloth::cut($cloth, ToCut::of($cloth, $cut, $this->assumptions));
        $laying = Laying::own($wanted, $on, $this->assumptions);
        $lays = null === $laying ? null : new ChangedLays($laying, $this->memory->recall($laying));
        $laid = true === $lays?->isLaid() ? $lays->unchanged() : null;

        return null === $laid ? null : $wanted->altered($laid);
    }
}
