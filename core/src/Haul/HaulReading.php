<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Reading\Chip;

/** How the words of a line were read. */
final readonly class HaulReading
{
    /**
     * @param list<Chip>     $chips  what was understood
     * @param list<Sentence> $doubts what could be meant otherwise, or could not be kept
     * @param list<string>   $unread words that mean nothing here; they stand in the name and the notes
     */
    public function __construct(public array $chips = [], public array $doubts = [], public array $unread = [])
    {
    }

    /** @param list<Sentence> $doubts further ones */
    public function doubting(array $doubts): self
    {
        return new self($this->chips, [...$this->doubts, ...$doubts], $this->unread);
    }
}
