<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;

/**
 * Cloth is conserved: what comes out of a cut is no longer, no wider, and together no larger than what it came from. What is
 * not measured is not held against it. Source: docs/rules.md.
 */
final readonly class Conservation
{
    private ?Length $width;

    /** @param ?Length $length of the cloth that the pieces come from */
    public function __construct(Cloth $cloth, Cut $cut, private ?Length $length)
    {
        $this->width = $cut->widthOf($cloth)?->full;
    }

    /** @throws Unreadable when a piece is longer than its cloth */
    public function checkLength(Length $length): void
    {
        if (true === $this->length?->isLessThan($length)) {
            throw Unreadable::because(
                'A piece of {piece} cannot come out of {whole}. Measure the piece again, or type how much was really there.',
                [
                    'piece' => Figure::exact($length),
                    'whole' => Figure::exact($this->length),
                ],
            );
        }
    }

    /** @throws Unreadable when a piece is wider than its cloth */
    public function checkWidth(Length $width): void
    {
        if (true === $this->width?->isLessThan($width)) {
            throw Unreadable::because(
                'The cloth is {whole} wide, so no piece of it is {piece} wide. Measure the piece or the cloth again.',
                [
                    'piece' => Figure::width($width),
                    'whole' => Figure::width($this->width),
                ],
            );
        }
    }

    /**
     * @param list<array{Length, Length}> $pieces length and width of each, whichever way they lay
     *
     * @throws Unreadable when together they are larger than their cloth, or one does not go into it either way
     */
    public function checkAll(array $pieces): void
    {
        if (null === $this->length || null === $this->width) {
            return;
        }
        $area = static fn (Length $length, Length $width): float => (float) $length->micrometres * (float) $width->micrometres;
        $whole = $area($this->length, $this->width);
        [$short, $long] = [$this->length->smaller($this->width), $this->length->larger($this->width)];
        $all = 0.0;
        foreach ($pieces as [$length, $width]) {
            $all += $area($length, $width);
            if ($short->isLessThan($length->smaller($width)) || $long->isLessThan($length->larger($width))) {
                throw Unreadable::because('A piece of {length} × {width} does not go into {whole} × {across} of cloth. Measure it again.', [
                    'length' => Figure::exact($length),
                    'width' => Figure::exact($width),
                    'whole' => Figure::exact($this->length),
                    'across' => Figure::exact($this->width),
                ]);
            }
        }
        if ($all > $whole) {
            throw Unreadable::because(
                'These pieces are {percent} % of the cloth they come from: more than all of it. Measure them again, or leave one out.',
                ['percent' => (int) ceil((100 * $all) / max(1.0, $whole))],
            );
        }
    }
}
