<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Reading\Chip;

/** One line about a pattern as it was understood. */
final readonly class PatternLine
{
    /**
     * @param string         $text         as typed
     * @param list<string>   $otherNumbers
     * @param list<string>   $sizes
     * @param list<string>   $notions
     * @param list<Chip>     $chips        what was understood
     * @param list<Sentence> $doubts       what could be meant otherwise
     * @param list<string>   $unread       parts that mean nothing here; they stand in the notes
     */
    public function __construct(
        public string $text,
        public string $title,
        public string $maker,
        public string $number,
        public array $otherNumbers,
        public ?Garment $garment,
        public ?PatternFormat $format,
        public ?PaperState $paper,
        public Ownership $ownership,
        public ?Structure $onlyFor,
        public array $sizes,
        public array $notions,
        public ?int $minutes,
        public string $place,
        public array $chips,
        public array $doubts,
        public array $unread,
    ) {
    }

    /**
     * What is missing and would decide.
     *
     * @return list<Sentence>
     */
    public function missing(): array
    {
        return [
            ...null === $this->garment ? [new Sentence('no garment: say dress, skirt, coat …')] : [],
            ...[] === $this->sizes ? [new Sentence('no sizes: yours may not be in it')] : [],
        ];
    }

    /** With one version that has the notions and sizes and waits for its table. */
    public function pattern(): Pattern
    {
        return new Pattern(
            '',
            $this->title,
            label: new PatternLabel(maker: $this->maker, number: $this->number, otherNumbers: $this->otherNumbers),
            makes: new PatternGarment(garment: $this->garment ?? Garment::Other, onlyFor: $this->onlyFor, minutes: $this->minutes),
            keeping: new PatternKeeping(
                format: $this->format ?? PatternFormat::Tissue,
                ownership: $this->ownership,
                editions: [] === $this->sizes && null === $this->paper ? [] : [new Edition('', $this->sizes, $this->paper)],
                place: $this->place,
                notes: $this->text,
            ),
            versions: [new Version('', 'A', new RequirementTable($this->sizes, []), $this->notions)],
        );
    }
}
