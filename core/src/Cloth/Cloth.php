<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Width;

/** A cloth and the cuts of it that are owned or on their way. Cuts are never added up. */
final readonly class Cloth
{
    public FibreMix $fibres;

    /** As stated, else as its type says, else woven. */
    public Structure $structure;

    /** As stated, else one-way where its type has a nap. */
    public Direction $direction;

    public ?Structure $statedStructure;

    public ?Direction $statedDirection;

    /**
     * @param ?Width         $width         null when nobody has measured it
     * @param ?Structure     $structure     null when nobody has said
     * @param ?Direction     $direction     likewise
     * @param ?Length        $repeat        length of the print's repeat, along the cloth
     * @param ?Shrinkage     $tested        what a test square showed; null for the figures of the fibres
     * @param list<string>   $colours       #rrggbb, ground colour first
     * @param ?int           $pricePerMetre in the smallest coin
     * @param ?bool          $moreToBeHad   null when not known
     * @param bool           $setAside      out of season, kept with its plan for next year
     * @param list<Cut>      $cuts
     * @param ?string        $photo         the name under which a photo of it is kept
     * @param string         $set           of cloths that are kept together
     * @param ?CareLabel     $care          null when not known
     * @param ?FibreFamily   $family        as a burn test showed it
     * @param list<TestDone> $tests
     * @param ?Length        $motif         how large the figures of its print are
     * @param ?bool          $precious      as the sewist marks it; null while nobody has, and then by its price and fibres
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?Width $width = null,
        ?Structure $structure = null,
        public ?ClothType $type = null,
        ?FibreMix $fibres = null,
        public ?Weight $weight = null,
        public PrintKind $print = PrintKind::Plain,
        ?Direction $direction = null,
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
        public ?CareLabel $care = null,
        public ?FibreFamily $family = null,
        public array $tests = [],
        public ?Length $motif = null,
        public Origin $origin = new Origin(),
        public ?bool $precious = null,
    ) {
        $this->fibres = $fibres ?? FibreMix::unknown();
        $this->statedStructure = $structure;
        $this->structure = $structure ?? ($type?->structure() ?? Structure::Woven);
        $this->statedDirection = $direction;
        $this->direction = $direction ?? (true === $type?->hasNap() ? Direction::OneWay : Direction::None);
    }

    public function shrinkage(): Shrinkage
    {
        return match ($this->care) {
            CareLabel::DryClean => Shrinkage::steamed(),
            CareLabel::Wipe => Shrinkage::none(),
            default => $this->tested ?? Shrinkage::expected($this->fibres, $this->structure, $this->type, $this->family),
        };
    }

    /** Whether anybody, or its type, says how it is made. */
    public function isStructureKnown(): bool
    {
        return null !== ($this->statedStructure ?? $this->type?->structure());
    }

    /** The day its width was last measured, as far as that was noted. */
    public function widthMeasuredOn(): ?\DateTimeImmutable
    {
        $days = array_map(
            static fn (TestDone $test): \DateTimeImmutable => $test->on,
            array_filter($this->tests, static fn (TestDone $test): bool => TestKind::Width === $test->kind),
        );

        return [] === $days ? null : max($days);
    }

    /** Of what was given, or cannot be had again, it is asked once: some save it, others cut it freely. */
    public function asksPrecious(): bool
    {
        $isGiven = 1 === preg_match('/\b(gift|given|present|inherited)\b/i', $this->origin->from);

        return null === $this->precious && (false === $this->moreToBeHad || $isGiven);
    }

    public function isOneWay(): bool
    {
        return Direction::OneWay === $this->direction;
    }
}
