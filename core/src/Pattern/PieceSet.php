<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/**
 * The pieces of a version, read only where they are wanted. A mark for each size tells whether its pieces are still those
 * of a lay.
 */
final class PieceSet
{
    /**
     * @param array<int|string, string>           $marks  size → mark
     * @param list<Piece>|\Closure(): list<Piece> $pieces
     */
    private function __construct(public readonly array $marks, private array|\Closure $pieces)
    {
    }

    public static function none(): self
    {
        return new self([], []);
    }

    /**
     * @param list<Piece>  $pieces
     * @param list<string> $sizes  of the version; what has none is size ''
     */
    public static function of(array $pieces, array $sizes): self
    {
        $marks = [];
        foreach ([] === $sizes ? [''] : $sizes as $size) {
            $in = array_filter($pieces, static fn (Piece $piece): bool => null !== $piece->in($size));
            if ([] !== $in) {
                $marks[$size] = self::markOf(array_values($in), $size);
            }
        }

        return new self($marks, $pieces);
    }

    /**
     * @param array<int|string, string> $marks
     * @param \Closure(): list<Piece>   $read
     */
    public static function later(array $marks, \Closure $read): self
    {
        return new self($marks, $read);
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
        return array_values(array_filter($this->all(), static fn (Piece $piece): bool => $piece->role === $role && null !== $piece->in($size)));
    }

    /** Empty when the size has no pieces. */
    public function mark(string $size): string
    {
        return $this->marks[$size] ?? '';
    }

    /** @param non-empty-list<Piece> $pieces */
    private static function markOf(array $pieces, string $size): string
    {
        $text = '';
        foreach ($pieces as $piece) {
            $text .= implode('|', [$piece->name, $piece->role->value, $piece->quantity, (int) $piece->pair, (int) $piece->onFold, $piece->grain->value]);
            foreach ($piece->in($size)?->cutOut($piece->onFold)->points ?? [] as [$x, $y]) {
                $text .= \sprintf(' %.1f,%.1f', $x + 0.0, $y + 0.0);
            }
        }

        return substr(hash('xxh128', $text), 0, 12);
    }
}
