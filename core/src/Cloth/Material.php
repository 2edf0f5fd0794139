<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What a cloth is made of, and how it behaves. */
final readonly class Material
{
    public FibreMix $fibres;

    /** As stated, else as its type says, else woven. */
    public Structure $structure;

    public ?Structure $statedStructure;

    /**
     * @param ?Structure   $structure null when nobody has said
     * @param ?CareLabel   $care      null when not known
     * @param ?FibreFamily $family    as a burn test showed it
     * @param ?Shrinkage   $tested    what a test square showed; null for the figures of the fibres
     */
    public function __construct(
        ?Structure $structure = null,
        public ?ClothType $type = null,
        ?FibreMix $fibres = null,
        public ?Weight $weight = null,
        public Feel $feel = new Feel(),
        public ?CareLabel $care = null,
        public ?FibreFamily $family = null,
        public ?Shrinkage $tested = null,
    ) {
        $this->fibres = $fibres ?? FibreMix::unknown();
        $this->statedStructure = $structure;
        $this->structure = $structure ?? ($type?->structure() ?? Structure::Woven);
    }

    /** Filled in by another, where this one says nothing. */
    public function or(?self $other): self
    {
        return null === $other ? $this : new self(
            null === $this->type ? $other->statedStructure : $this->statedStructure,
            $this->type ?? $other->type,
            $this->fibres->isKnown() ? $this->fibres : $other->fibres,
            weight: $this->weight ?? $other->weight,
            feel: new Feel(
                $this->feel->across ?? $other->feel->across,
                null,
                $this->feel->drape ?? $other->feel->drape,
                $this->feel->opacity ?? $other->feel->opacity,
            ),
            care: $this->care ?? $other->care,
            family: $this->family ?? $other->family,
            tested: $this->tested ?? $other->tested,
        );
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
}
