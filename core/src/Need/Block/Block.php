<?php

declare(strict_types=1);

namespace Octavum\Core\Need\Block;

use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;

/**
 * A generic set of pieces for a garment and a size, for versions whose pieces nobody has entered: rough as it is, or scaled
 * until its lay at a width of the envelope comes to the envelope's length, and then laid on the real width. Ways 4 and, beside
 * way 3, a better one than the chart: the widest piece is then really tried. The clock counts looks, so that it always comes
 * to the same; cost: about a dozen quick lays.
 */
final readonly class Block
{
    /** At the clock, for each way of laying. */
    private const LOOKS = 20;
    private const STEPS = 8;
    private const SCALES = [0.55, 1.7];

    /**
     * @return ?Length null when the garment has no block, or it does not go on at all
     */
    public function need(
        Garment $garment,
        ?RequirementTable $table,
        Role $role,
        string $size,
        LaySurface $surface,
        bool $child = false,
    ): ?Length {
        $pieces = $this->pieces($garment, $table, $role, $size, $child);

        return [] === $pieces ? null : $this->laid($pieces, $surface, [Fold::Flat, Fold::Lengthwise, Fold::Gate]);
    }

    /**
     * Real pieces of one role in a size, laid in a moment: this much is enough, and a longer search finds less.
     *
     * @param list<Piece> $pieces that have a shape in the size
     */
    public function quickly(array $pieces, string $size, LaySurface $surface): ?Length
    {
        return $this->laid($pieces, $surface, [Fold::Flat, Fold::Lengthwise, Fold::Gate], $size);
    }

    /** @return list<Piece> calibrated where the table has a row, and rough where it has none */
    public function pieces(Garment $garment, ?RequirementTable $table, Role $role, string $size, bool $child = false): array
    {
        if (Role::Main !== $role) {
            return [];
        }
        $pieces = $this->rough($garment, $table, $size, $child);
        [$width, $printed] = $this->printed($table, $role, $size);
        if (null === $width || null === $printed || [] === $pieces) {
            return $pieces;
        }
        $surface = new LaySurface($width->minus(Length::ofMillimetres(20)));
        [$low, $high] = self::SCALES;
        for ($i = 0; $i < self::STEPS; ++$i) {
            $scale = ($low + $high) / 2;
            $length = $this->laid($this->scaled($pieces, $scale), $surface, [Fold::Lengthwise, Fold::Flat]);
            if (null === $length || $printed->isLessThan($length)) {
                $high = $scale;
            } else {
                $low = $scale;
            }
        }

        return $this->scaled($pieces, $low);
    }

    /** @return list<Piece> as a garment usually has them, whatever its table says */
    public function rough(Garment $garment, ?RequirementTable $table, string $size, bool $child = false): array
    {
        [$body, $child] = $this->body($table->sizes ?? [], $size, $child);

        return RoughPieces::for($body, $child)->list($garment);
    }

    /** Whether a table lets the block be calibrated. */
    public function isCalibrated(?RequirementTable $table, string $size): bool
    {
        return null !== $this->printed($table, Role::Main, $size)[0];
    }

    /** @return array{?Length, ?Length} the widest row that has the size: its width and length */
    private function printed(?RequirementTable $table, Role $role, string $size): array
    {
        $found = [null, null];
        foreach ($table->rows ?? [] as $row) {
            if ($row->role === $role && isset($row->cells[$size]) && (null === $found[0] || $found[0]->isLessThan($row->width))) {
                $found = [$row->width, $row->cells[$size]];
            }
        }

        return $found;
    }

    /**
     * @param list<Piece>          $pieces
     * @param non-empty-list<Fold> $folds
     * @param int                  $most   looks at the clock for each fold: how long is searched
     */
    public function laid(array $pieces, LaySurface $surface, array $folds, string $size = '', int $most = self::LOOKS): ?Length
    {
        $all = array_map(fn (Piece $piece): LayPiece => $this->piece($piece, $size, $surface), $pieces);
        if ([] === $all) {
            return null;
        }
        $lay = (new LayMaker(false))->make(
            new LayRequest([new Sheet('c', (float) $surface->width->millimetres(), null)], $all, 0, $surface->oneWay, $folds),
            self::clock($most * \count($folds)),
        );

        return [] === $lay->placements || [] !== $lay->unplaced ? null : Length::ofMillimetres(ceil($lay->used['c'] ?? 0));
    }

    /**
     * A clock that counts looks, so that a lay always comes to the same.
     *
     * @return \Closure(): float seconds, of the two that are searched
     */
    public static function clock(int $most): \Closure
    {
        $looks = 0;

        return static function () use (&$looks, $most): float {
            return (2 * ++$looks) / $most;
        };
    }

    private function piece(Piece $piece, string $size, LaySurface $surface): LayPiece
    {
        $outline = ($piece->in($size) ?? $piece->shapes[0])->cutOut($piece->onFold);
        $match = null === $surface->repeat
            ? null
            : new Repeat((float) $surface->repeat->millimetres(), 0, $outline->right, 0, alike: $surface->alike);

        return new LayPiece(
            $piece->name,
            $outline,
            $piece->quantity,
            pair: $piece->pair,
            onFold: $piece->onFold,
            grain: $piece->grain,
            match: $match,
        );
    }

    /**
     * A size counts as years where it is for a child, or the sizes are ages by name or one after the other; 4, 6, 8 … 12
     * may be a woman's, who takes more, so it is counted as hers.
     *
     * @param list<string> $sizes
     *
     * @return array{float, bool} steps from the middle size of women's tables, or years; and whether it is a child's
     */
    private function body(array $sizes, string $size, bool $child): array
    {
        $ages = preg_grep('/\d\s*(m|mo|months?|y|yrs?|years?)\b/iu', $sizes);
        $numbers = array_map(intval(...), array_filter($sizes, is_numeric(...)));
        $young =
            [] !== $numbers
            && max($numbers) <= 16
            && (max($numbers) <= 6 || 2 === \count(array_unique(array_map(static fn (int $number): int => $number % 2, $numbers))));
        if ($child || $young || [] !== $ages) {
            $months = 1 === preg_match('/\d\s*(m|mo|months?)\b/iu', $size);
            $number = 1 === preg_match('/\d+(?=\D*$)/', $size, $found) ? (float) $found[0] : 6.0;

            return [$months ? $number / 12 : min($number, 14.0), true];
        }
        $at = array_search($size, $sizes, true);

        return [\is_int($at) ? $at - (\count($sizes) - 1) / 2 : 0.0, false];
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<Piece>
     */
    private function scaled(array $pieces, float $scale): array
    {
        return array_map(
            static fn (Piece $piece): Piece => new Piece(
                $piece->name,
                $piece->role,
                $piece->quantity,
                pair: $piece->pair,
                onFold: $piece->onFold,
                grain: $piece->grain,
                instead: [],
                shapes: [new Shape([], $piece->shapes[0]->drawn->scaled($scale, $scale), $piece->shapes[0]->allowance)],
            ),
            $pieces,
        );
    }
}
