<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Shape\Outline;

/** A saved lay as it is printed: the pieces on each sheet with their places, in millimetres and in the reader's units. */
final readonly class LayDrawing
{
    public function __construct(private TableNormalizer $mat)
    {
    }

    /** @return list<DrawnSheet> for the templates table/print.html.twig and table/lay.svg.twig */
    public function sheets(SavedLay $lay): array
    {
        $sheets = [];
        $number = 0;
        foreach ($lay->sheets as $i => $sheet) {
            $width = (float) $sheet->width->millimetres();
            $folded = \in_array($lay->fold, [Fold::Lengthwise, Fold::Gate], true);
            $on = array_values(array_filter($lay->pieces, static fn (LaidPiece $piece): bool => $piece->sheet === $i));
            usort(
                $on,
                static fn (LaidPiece $a, LaidPiece $b): int => [round($a->outline->left, -1), $a->outline->bottom] <=> [
                    round($b->outline->left, -1),
                    $b->outline->bottom,
                ],
            );
            $end = max([100.0, ...array_map(static fn (LaidPiece $piece): float => $piece->outline->right, $on)]);
            $pieces = [];
            foreach ($on as $piece) {
                $outline = $piece->outline;
                $pieces[] = new DrawnPiece(
                    new PieceNumber(
                        ++$number,
                        round(($outline->left + $outline->right) / 2, 1),
                        round(($outline->bottom + $outline->top) / 2, 1),
                        round(max(26.0, min(64.0, $outline->length() / 4, $outline->width() / 3)), 1),
                    ),
                    $piece,
                    1 === \count($lay->garments) ? '' : $lay->garments[$piece->garment]->name,
                    path: self::path($outline),
                    grain: self::grain($piece),
                    bounds: new PieceBounds(
                        self::figure($outline->left),
                        self::figure($outline->right),
                        self::figure($outline->bottom),
                        self::figure($outline->top),
                    ),
                );
            }
            $length = (float) ($sheet->length?->millimetres() ?? $end) / (Fold::Crosswise === $lay->fold ? 2 : 1);
            $sheets[] = new DrawnSheet(
                $this->mat->sheetName($sheet, $i),
                $length,
                max($length, $end),
                height: $folded ? $width / 2 : $width,
                width: Figure::width($sheet->width),
                used: Figure::needed($sheet->used),
                edges: new SheetEdges(
                    $folded || Fold::Part === $lay->fold ? 'fold' : 'selvage',
                    Fold::Gate === $lay->fold ? 'fold' : (Fold::Lengthwise === $lay->fold ? 'both selvages' : 'selvage'),
                    match ($lay->fold) {
                        Fold::Lengthwise, Fold::Part => [0.0],
                        Fold::Gate => [0.0, $width / 2],
                        default => [],
                    },
                ),
                pieces: $pieces,
            );
        }

        return $sheets;
    }

    private static function path(Outline $outline): string
    {
        return 'M'.implode('L', array_map(static fn (array $p): string => \sprintf('%.1f %.1f', $p[0], $p[1]), $outline->points)).'Z';
    }

    /** An arrow from the lower end of the piece to its top. */
    private static function grain(LaidPiece $piece): string
    {
        $o = $piece->outline;
        $reach = 0.3 * min($o->length(), $o->width());
        $angle = deg2rad($piece->turn);
        [$x, $y] = [($o->left + $o->right) / 2, ($o->bottom + $o->top) / 2];
        [$ux, $uy] = [cos($angle), sin($angle)];
        [$hx, $hy] = [$x - $reach * $ux, $y - $reach * $uy];
        $h = min(18.0, $reach / 3);

        return \sprintf(
            'M%.1f %.1fL%.1f %.1fM%.1f %.1fL%.1f %.1fL%.1f %.1f',
            $x + $reach * $ux,
            $y + $reach * $uy,
            $hx,
            $hy,
            $hx + $h * ($ux - 0.6 * $uy),
            $hy + $h * ($uy + 0.6 * $ux),
            $hx,
            $hy,
            $hx + $h * ($ux + 0.6 * $uy),
            $hy + $h * ($uy - 0.6 * $ux),
        );
    }

    private static function figure(float $millimetres): Figure
    {
        return Figure::exact(Length::ofMillimetres(max(0, round($millimetres))));
    }
}
