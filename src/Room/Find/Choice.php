<?php

declare(strict_types=1);

namespace Octavum\Room\Find;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Store\Pattern\VersionTitle;

/** A cut or a version that can be chosen in a field, with what tells it from the others. */
final readonly class Choice
{
    /**
     * @param string            $name     goes into the field
     * @param string            $words    it is found by
     * @param ?Length           $free     of the cut; null where its length is not known
     * @param list<Reservation> $promises of the cut
     */
    public function __construct(
        public string $name,
        public string $words,
        public ?VersionTitle $version = null,
        public ?Cloth $cloth = null,
        public ?Cut $cut = null,
        public ?Length $free = null,
        public array $promises = [],
    ) {
    }

    public function title(): string
    {
        return null === $this->version
            ? implode(', ', array_diff([$this->cloth->name ?? '', $this->cut->label ?? ''], ['']))
            : $this->version->title.', '.$this->version->name;
    }
}
