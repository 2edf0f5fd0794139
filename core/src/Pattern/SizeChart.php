<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Garment;

/** The chart of a pattern: the body each size is drafted for, and how the finished garment measures where that is printed. */
final readonly class SizeChart
{
    /**
     * @param list<string>                         $sizes    in the order printed
     * @param array<string, array<string, Length>> $body     BodyPoint's value → size → length; of a range its upper end
     * @param array<string, array<string, Length>> $finished the same, of the garment
     * @param ?BodyPoint                           $by       decides the size; null for what the garment suggests
     * @param ?Length                              $height   it is drafted for
     */
    public function __construct(
        public array $sizes = [],
        public array $body = [],
        public array $finished = [],
        public ?BodyPoint $by = null,
        public ?Length $height = null,
        public ?Runs $runs = null,
    ) {
    }

    public function hasRows(): bool
    {
        return [] !== $this->body;
    }

    /**
     * What decides the size: bust for tops and dresses, hip for trousers and fitted skirts, height for children. Source: docs/rules.md.
     *
     * @param bool $full a full or gathered skirt, which goes by the waist alone
     */
    public function decides(Garment $garment, bool $child, bool $full = false): BodyPoint
    {
        return match (true) {
            null !== $this->by => $this->by,
            Garment::Hat === $garment => BodyPoint::Head,
            $child && isset($this->body[BodyPoint::Height->value]) => BodyPoint::Height,
            $full && isset($this->body[BodyPoint::Waist->value]) => BodyPoint::Waist,
            $garment->isFromTheWaist() => BodyPoint::Hip,
            default => BodyPoint::Bust,
        };
    }
}
