<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Width;

/** A cloth and the cuts of it that are owned or on their way. Cuts are never added up. */
final readonly class Cloth
{
    /** As stated, else one-way where its type has a nap. */
    public Direction $direction;

    /**
     * @param ?Width    $width null when nobody has measured it
     * @param list<Cut> $cuts
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?Width $width = null,
        public Material $material = new Material(),
        public ClothLook $look = new ClothLook(),
        public Keeping $keeping = new Keeping(),
        public Purchase $purchase = new Purchase(),
        public array $cuts = [],
    ) {
        $this->direction = $look->direction ?? (true === $material->type?->hasNap() ? Direction::OneWay : Direction::None);
    }

    /** The day its width was last measured, as far as that was noted. */
    public function widthMeasuredOn(): ?\DateTimeImmutable
    {
        $days = array_map(
            static fn (TestDone $test): \DateTimeImmutable => $test->on,
            array_filter($this->keeping->tests, static fn (TestDone $test): bool => TestKind::Width === $test->kind),
        );

        return [] === $days ? null : max($days);
    }

    /** What its name, or its type, lets one expect where nothing is known. */
    public function guess(): ?NameGuess
    {
        return (new NameTable())->find($this);
    }

    /** Of what was given, or cannot be had again, it is asked once: some save it, others cut it freely. */
    public function asksPrecious(): bool
    {
        $isGiven = 1 === preg_match('/\b(gift|given|present|inherited)\b/i', $this->purchase->origin->from);

        return null === $this->purchase->precious && (false === $this->purchase->moreToBeHad || $isGiven);
    }

    public function isOneWay(): bool
    {
        return Direction::OneWay === $this->direction;
    }
}
