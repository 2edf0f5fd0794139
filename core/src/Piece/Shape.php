<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Length;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Shape\Outset;

/** How a piece looks in some sizes: x along its grain from the top, y across; on the fold, the fold edge on y = 0. */
final readonly class Shape
{
    /** @var \ArrayObject<int, Outline> as it is cut out, worked out once; 1 on the fold, else 0 */
    private \ArrayObject $cut;

    /**
     * @param list<string> $sizes     none when it is the same in all
     * @param Outline      $drawn     as on the paper
     * @param ?Length      $allowance to be added around it; null when the outline includes it
     * @param ?Drafted     $drafted   the measurements it was drawn from
     */
    public function __construct(
        public array $sizes,
        public Outline $drawn,
        public ?Length $allowance = null,
        public ?Drafted $drafted = null,
    ) {
        /** @var \ArrayObject<int, Outline> $cut */
        $cut = new \ArrayObject();
        $this->cut = $cut;
    }

    /** @param list<string> $sizes */
    public static function drafted(Drafted $drafted, array $sizes = [], ?Length $allowance = null): self
    {
        return new self($sizes, $drafted->outline, $allowance, $drafted);
    }

    /** As it is cut out. */
    public function cutOut(bool $onFold): Outline
    {
        return $this->cut[(int) $onFold] ??=
            (new Outset())->expand($this->drawn, (float) ($this->allowance?->millimetres() ?? 0), $onFold);
    }
}
