<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use Octavum\Core\Reading\Chip;

/** One line of a haul as it was understood. */
final readonly class HaulLine
{
    /** Characters that are kept of it, as of any notes. */
    public const LONGEST = 10_000;
    public const LONGEST_NAME = 120;

    /**
     * @param string         $text    as typed
     * @param int            $count   cuts of it, all alike
     * @param ?int           $price   of a metre, in the smallest coin
     * @param list<string>   $colours #rrggbb
     * @param list<Chip>     $chips   what was understood
     * @param list<Sentence> $doubts  what could be meant otherwise, or could not be kept
     * @param list<Length>   $others  of further cuts
     * @param ?bool          $more    whether more of it is to be had
     * @param string         $from    where it comes from
     * @param list<string>   $unread  words that mean nothing here; they stand in the name and the notes
     */
    public function __construct(
        public string $text,
        public string $name,
        public int $count,
        public ?Length $length,
        public ?Length $width,
        public FibreMix $fibres,
        public ?Structure $structure,
        public ?ClothType $type,
        public ?Weight $weight,
        public PrintKind $print,
        public ?Direction $direction,
        public ?Length $repeat,
        public array $colours,
        public string $place,
        public ?int $price,
        public string $label,
        public bool $ordered,
        public bool $washed,
        public array $chips,
        public array $doubts,
        public array $unread,
        public Feel $feel = new Feel(),
        public array $others = [],
        public ?bool $more = null,
        public string $from = '',
        public ?CareLabel $care = null,
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
            ...null === $this->width ? [new Sentence('no width: whether anything fits cannot be said until it is measured')] : [],
            ...null === $this->length ? [new Sentence('no length')] : [],
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
        return new self(
            mb_substr(trim($this->text."\n".$notes), 0, self::LONGEST),
            $name,
            1 === $this->count ? $fromName->count ?? 1 : $this->count,
            $this->length ?? $fromName?->length,
            $this->width ?? $fromName?->width,
            $this->fibres->isKnown() ? $this->fibres : $fromName->fibres ?? $this->fibres,
            null === $this->type && null !== $fromName ? $fromName->structure : $this->structure,
            $this->type ?? $fromName?->type,
            $this->weight ?? $fromName?->weight,
            PrintKind::Plain === $this->print && null !== $fromName ? $fromName->print : $this->print,
            $this->direction ?? ($fromName->direction ?? $noted),
            $this->repeat,
            [] === $this->colours ? $fromName->colours ?? [] : $this->colours,
            $this->place,
            $this->price,
            $this->label,
            $this->ordered,
            $this->washed,
            $this->chips,
            [...$this->doubts, ...$doubts],
            $this->unread,
            new Feel(
                $this->feel->across ?? $fromName?->feel->across,
                null,
                $this->feel->drape ?? $fromName?->feel->drape,
                $this->feel->opacity ?? $fromName?->feel->opacity,
            ),
            $this->others,
            $this->more ?? $fromName?->more,
            '' === $this->from ? $fromName->from ?? '' : $this->from,
            $this->care ?? $fromName?->care,
        );
    }

    public function cloth(Assumptions $assumptions, \DateTimeImmutable $today): Cloth
    {
        try {
            $width = null === $this->width ? null : Width::of($this->width, $assumptions->selvage);
        } catch (Unreadable) {
            $width = null;
        }
        $cuts = array_map(fn (?Length $length): Cut => $this->cut($length, $today), [
            ...array_fill(0, $this->count, $this->length),
            ...$this->others,
        ]);

        return new Cloth(
            '',
            $this->name,
            $width,
            $this->structure,
            $this->type,
            $this->fibres,
            $this->weight,
            $this->print,
            $this->direction,
            $this->repeat,
            null,
            $this->colours,
            $this->place,
            $this->price,
            $this->more,
            false,
            $this->text,
            $cuts,
            $this->feel,
            care: $this->care,
            origin: new Origin($this->from),
        );
    }

    private function cut(?Length $length, \DateTimeImmutable $today): Cut
    {
        $ledger = [new LedgerEntry($today, LedgerKind::Bought, $this->washed ? null : $length)];
        if ($this->washed) {
            $ledger[] = new LedgerEntry($today, LedgerKind::Washed, $length);
        }

        return new Cut('', $ledger, $this->label, $this->ordered ? CutState::Ordered : CutState::Arrived);
    }
}
