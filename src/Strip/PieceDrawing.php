<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;

/**
 * A piece drawn to scale for the template part/piece.html.twig, its top up: as it lies on the table, turned a quarter, so
 * that left stays left. Pixels.
 */
final readonly class PieceDrawing
{
    /**
     * @param list<string> $outlines  paths of what is cut out, the largest size first
     * @param list<string> $stitching paths of the outlines without the allowance, where one is added
     */
    private function __construct(
        public Piece $piece,
        public array $outlines,
        public array $stitching,
        public float $width,
        public float $height,
        public Figure $length,
        public Figure $across,
    ) {
    }

    /**
     * @param non-empty-list<Shape> $shapes drawn over one another
     * @param float                 $scale  pixels a millimetre; 0 for as large as fits into a box of so many pixels
     */
    public static function of(Piece $piece, array $shapes, float $scale = 0, float $room = 150): self
    {
        $cut = array_map(static fn (Shape $shape): Outline => $shape->cutOut($piece->onFold), $shapes);
        usort($cut, static fn (Outline $a, Outline $b): int => $b->area() <=> $a->area());
        $right = max(array_map(static fn (Outline $outline): float => $outline->top, $cut));
        $top = min(array_map(static fn (Outline $outline): float => $outline->left, $cut));
        $high = max(array_map(static fn (Outline $outline): float => $outline->right, $cut)) - $top;
        $wide = $right - min(array_map(static fn (Outline $outline): float => $outline->bottom, $cut));
        $scale = $scale > 0 ? $scale : min($room / $high, (0.72 * $room) / $wide);
        $path = static fn (Outline $outline): string => 'M'
            .implode(
                'L',
                array_map(
                    static fn (array $p): string => \sprintf('%.1f %.1f', ($right - $p[1]) * $scale, ($p[0] - $top) * $scale),
                    $outline->points,
                ),
            )
            .'Z';

        return new self(
            $piece,
            array_map($path, $cut),
            array_map(
                static fn (Shape $shape): string => $path($shape->drawn),
                array_values(array_filter($shapes, static fn (Shape $shape): bool => null !== $shape->allowance)),
            ),
            width: round($wide * $scale, 1),
            height: round($high * $scale, 1),
            length: Figure::exact(Length::ofMillimetres($cut[0]->length())),
            across: Figure::exact(Length::ofMillimetres($cut[0]->width())),
        );
    }
}
