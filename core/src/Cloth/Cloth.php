<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Width;

/** A cloth and the cuts of it that are owned or on their way. Cuts are never added up. */
final readonly class Cloth
{
    public FibreMix $fibres;

    /**
     * @param ?Width         $width         null when nobody has measured it
     * @param ?Length        $repeat        length of the print's repeat, along the cloth
     * @param ?Shrinkage     $tested        what a test square showed; null for the figures of the fibres
     * @param list<string>   $colours       #rrggbb, ground colour first
     * @param ?int           $pricePerMetre in the smallest coin
     * @param ?bool          $moreToBeHad   null when not known
     * @param bool           $setAside      out of season, kept with its plan for next year
     * @param list<Cut>      $cuts
     * @param ?string        $photo         the name under which a photo of it is kept
     * @param string         $set           of cloths that are kept together
     * @param string         $care          as the label says
     * @param ?FibreFamily   $family        as a burn test showed it
     * @param list<TestDone> $tests
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?Width $width = null,
        public Structure $structure = Structure::Woven,
        public ?ClothType $type = null,
        ?FibreMix $fibres = null,
        public ?Weight $weight = null,
        public PrintKind $print = PrintKind::Plain,
        public Direction $direction = Direction::None,
        public ?Length $repeat = null,
        public ?Shrinkage $tested = null,
        public array $colours = [],
        public string $place = '',
        public ?int $pricePerMetre = null,
        public ?bool $moreToBeHad = null,
        public bool $setAside = false,
        public string $notes = '',
        public array $cuts = [],
        public Feel $feel = new Feel(),
        public ?string $photo = null,
        public string $set = '',
        public string $care = '',
        public ?FibreFamily $family = null,
        public array $tests = [],
    ) {
        $this->fibres = $fibres ?? FibreMix::unknown();
    }

    public function shrinkage(): Shrinkage
    {
        return $this->tested ?? Shrinkage::expected($this->fibres, $this->structure, $this->type, $this->family);
    }

    public function isOneWay(): bool
    {
        return Direction::OneWay === $this->direction;
    }
}
