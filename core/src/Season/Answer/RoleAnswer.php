<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Answer;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\TooWide;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Remedy\Remedy;
use Octavum\Core\Remedy\WayOut;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\Snag;

/** Whether one role of a project has cloth enough. */
final readonly class RoleAnswer
{
    /**
     * @param ?Verdict            $verdict  null when it is cut out already
     * @param ?Length             $spare    to cut from, less those ahead, less the need; negative when missing
     * @param list<Reservation>   $promises all claims on the same cut, in rank order
     * @param \Closure(): Working $working  worked out when it is asked for
     * @param list<Snag>          $snags
     * @param ?Lazy<list<WayOut>> $ways     what would help; null when nothing is short
     * @param ?Length             $atWidth  full width to which the need of cloth to be bought applies
     * @param ?TooWide            $tooWide  a piece for which no length is enough
     * @param ?Project            $line     whose it is, where several are sewn together
     * @param ?Length             $laid     what its pieces came to when they were laid; that lay is not kept, so the verdict stands
     */
    public function __construct(
        public Claim $claim,
        public ?Verdict $verdict,
        public ?ToCut $toCut,
        public Need|Unknown|null $need,
        public ?Length $spare,
        public array $promises,
        private \Closure $working,
        public array $snags = [],
        private ?Lazy $ways = null,
        public ?Length $atWidth = null,
        public ?TooWide $tooWide = null,
        public ?Project $line = null,
        public ?Length $laid = null,
    ) {
    }

    public function forCopy(Project $line): self
    {
        return new self(
            $this->claim,
            $this->verdict,
            $this->toCut,
            need: $this->need,
            spare: $this->spare,
            promises: $this->promises,
            working: $this->working,
            snags: $this->snags,
            ways: $this->ways,
            atWidth: $this->atWidth,
            tooWide: $this->tooWide,
            line: $line,
            laid: $this->laid,
        );
    }

    public function working(): Working
    {
        return ($this->working)();
    }

    /** @return list<WayOut> what would help where it is short, least harm first */
    public function waysOut(): array
    {
        return $this->ways?->get() ?? [];
    }

    /** Of the same cloth, one that would do alone. */
    public function otherCut(): ?Cut
    {
        foreach ($this->waysOut() as $way) {
            foreach (Remedy::TakeCut === $way->remedy ? $this->claim->cloth->cuts ?? [] : [] as $cut) {
                if ($cut->id === $way->subject) {
                    return $cut;
                }
            }
        }

        return null;
    }

    /** Short by what is known, and enough when its pieces are laid: the lay is to be kept. */
    public function isEnoughLaid(): bool
    {
        $free = null === $this->spare ? null : $this->amount()?->plus($this->spare);

        return null !== $this->laid && null !== $free && !$free->isLessThan($this->laid);
    }

    /** The length that is missing; null where none is, also when a piece is too wide. */
    public function missing(): ?Length
    {
        return true === $this->spare?->isNegative() ? $this->spare->negated() : null;
    }

    public function amount(): ?Length
    {
        return $this->need instanceof Need ? $this->need->amount : null;
    }
}
