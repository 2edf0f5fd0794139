<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

/** Something that was sewn: of which version, for whom, in which size, and how it turned out. */
final readonly class MadeBefore
{
    /**
     * @param ?string             $person id of whom it was for; null for nobody named
     * @param ?bool               $isGood it turned out well; false for badly, null where nobody has noted it
     * @param string              $words  how it turned out, in short
     * @param ?\DateTimeImmutable $on     the day of the verdict, or on which it was done
     */
    public function __construct(
        public string $version,
        public ?string $person = null,
        public ?string $size = null,
        public ?bool $isGood = null,
        public string $words = '',
        public ?\DateTimeImmutable $on = null,
    ) {
    }
}
