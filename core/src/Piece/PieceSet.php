<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Length;

/**
 * The pieces of a version, read only where they are wanted. A mark for each size tells whether its pieces are still those
 * of a lay, and which of them is the widest; both follow from the pieces where a size came later.
 */
final class PieceSet
{
    /**
     * @param array<int|string, string>                                           $marks  size → mark
     * @param array<int|string, array<string, array{piece: string, across: int}>> $widest size → role → piece, in micrometres
     * @param list<Piece>|\Closure(): list<Piece>                                 $pieces
     */
    private function __construct(public readonly array $marks, public readonly array $widest, private array|\Closure $pieces)
    {
    }

    public static function none(): self
    {
        return new self([], [], []);
    }

    /**
     * @param list<Piece>  $pieces
     * @param list<string> $sizes  of the version; what has none is size ''
     */
    public static function of(array $pieces, array $sizes): self
    {
        $marks = $widest = [];
        foreach ([] === $sizes ? [''] : $sizes as $size) {
            $in = array_filter($pieces, static fn (Piece $piece): bool => null !== $piece->in($size));
            if ([] !== $in) {
                $marks[$size] = self::markOf(array_values($in), $size);
                $widest[$size] = self::widestOf(array_values($in), $size);
            }
        }

        return new self($marks, $widest, $pieces);
    }

    /**
     * @param array<int|string, string>                                           $marks
     * @param array<int|string, array<string, array{piece: string, across: int}>> $widest
     * @param \Closure(): list<Piece>                                             $read
     */
    public static function later(array $marks, array $widest, \Closure $read): self
    {
        return new self($marks, $widest, $read);
    }

    /** @return list<Piece> */
    public function all(): array
    {
        if ($this->pieces instanceof \Closure) {
            $this->pieces = ($this->pieces)();
        }

        return $this->pieces;
    }

    /** @return list<Piece> for a role in a size, those that have a shape in it */
    public function in(string $size, Role $role): array
    {
        return array_values(array_filter($this->ofSize($size), static fn (Piece $piece): bool => $piece->role === $role));
    }

    /** @return list<Piece> that have a shape in a size, whatever they are for */
    public function ofSize(string $size): array
    {
        return array_values(array_filter($this->all(), static fn (Piece $piece): bool => null !== $piece->in($size)));
    }

    /**
     * Empty when the size has no pieces.
     *
     * @param list<string> $without pieces by name
     */
    public function mark(string $size, array $without = []): string
    {
        if ([] !== $without) {
            $kept = static fn (Piece $piece): bool => !\in_array($piece->name, $without, true);
            $pieces = array_values(array_filter($this->ofSize($size), $kept));

            return [] === $pieces ? '' : self::markOf($pieces, $size);
        }
        $in = isset($this->marks[$size]) ? [] : $this->with($size);

        return $this->marks[$size] ?? ([] === $in ? '' : self::markOf($in, $size));
    }

    /** Null when the role has no pieces in the size. */
    public function widest(string $size, Role $role): ?Widest
    {
        $found = isset($this->marks[$size]) ? $this->widest[$size] ?? [] : self::widestOf($this->with($size), $size);

        return isset($found[$role->value])
            ? new Widest($found[$role->value]['piece'], Length::ofMicrometres($found[$role->value]['across']))
            : null;
    }

    /** @return list<Piece> of a size that has come since the marks were made; none are looked for where no size has any */
    private function with(string $size): array
    {
        return [] === $this->marks
            ? []
            : $this->ofSize($size);
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return array<string, array{piece: string, across: int}> by role
     */
    private static function widestOf(array $pieces, string $size): array
    {
        $widest = [];
        foreach ($pieces as $piece) {
            $across = (int) round(1000 * ($piece->across($size) ?? 0));
            if ($across > ($widest[$piece->role->value]['across'] ?? 0)) {
                $widest[$piece->role->value] = ['piece' => $piece->name, 'across' => $across];
            }
        }

        return $widest;
    }

    /** @param non-empty-list<Piece> $pieces */
    private static function markOf(array $pieces, string $size): string
    {
        $text = '';
        foreach ($pieces as $piece) {
            $text .= implode('|', [
                $piece->name,
                $piece->role->value,
                $piece->quantity,
                (int) $piece->pair,
                (int) $piece->onFold,
                $piece->grain->value,
            ]);
            foreach ($piece->in($size)?->cutOut($piece->onFold)->points ?? [] as [$x, $y]) {
                $text .= \sprintf(' %.1f,%.1f', $x + 0.0, $y + 0.0);
            }
        }

        return substr(hash('xxh128', $text), 0, 12);
    }
}
