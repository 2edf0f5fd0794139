<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;

/** One line of a haul as it was understood. */
final readonly class HaulLine
{
    /** Characters that are kept of it, as of any notes. */
    public const LONGEST = 10_000;
    public const LONGEST_NAME = 120;

    /** @param string $text as typed */
    public function __construct(
        public string $text,
        public string $name,
        public HaulCuts $cuts,
        public ?Length $width,
        public Material $material,
        public ClothLook $look,
        public HaulOrigin $origin,
        public HaulReading $reading,
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
            ...null === $this->width ? [new Sentence('no width: measure it to know what fits')] : [],
            ...null === $this->cuts->length ? [new Sentence('no length')] : [],
        ];
    }

    /**
     * Under a name of its own, which fills in what the rest does not say, with further notes.
     *
     * @param list<Sentence> $doubts further ones
     * @param ?Direction     $noted  as a remark says
     */
    public function named(string $name, ?self $fromName, string $notes, array $doubts, ?Direction $noted = null): self
    {
        $cuts = $this->cuts;

        return new self(
            mb_substr(trim($this->text."\n".$notes), 0, self::LONGEST),
            $name,
            new HaulCuts(
                1 === $cuts->count ? $fromName->cuts->count ?? 1 : $cuts->count,
                $cuts->length ?? $fromName?->cuts->length,
                $cuts->others,
                label: $cuts->label,
                ordered: $cuts->ordered,
                washed: $cuts->washed,
            ),
            width: $this->width ?? $fromName?->width,
            material: $this->material->or($fromName?->material),
            look: $this->look->or($fromName?->look)->orDirection($noted),
            origin: $this->origin->or($fromName?->origin),
            reading: $this->reading->doubting($doubts),
        );
    }

    public function cloth(Assumptions $assumptions, \DateTimeImmutable $today): Cloth
    {
        try {
            $width = null === $this->width ? null : Width::of($this->width, $assumptions->selvage);
        } catch (Unreadable) {
            $width = null;
        }
        $cuts = array_map(fn (?Length $length): Cut => $this->cut($length, $today), $this->cuts->lengths());

        $origin = $this->origin;

        return new Cloth(
            '',
            $this->name,
            $width,
            material: $this->material,
            look: $this->look,
            keeping: new Keeping($origin->place, notes: $this->text),
            purchase: new Purchase($origin->price, $origin->more, new Origin($origin->from)),
            cuts: $cuts,
        );
    }

    private function cut(?Length $length, \DateTimeImmutable $today): Cut
    {
        $ledger = [new LedgerEntry($today, LedgerKind::Bought, $this->cuts->washed ? null : $length)];
        if ($this->cuts->washed) {
            $ledger[] = new LedgerEntry($today, LedgerKind::Washed, $length);
        }

        return new Cut('', $ledger, $this->cuts->label, $this->cuts->ordered ? CutState::Ordered : CutState::Arrived);
    }
}
