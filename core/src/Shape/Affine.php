<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/** A transform of the plane: x → ax + cy + e, y → bx + dy + f. */
final readonly class Affine
{
    /** Characters of a transform; programs write one to three steps. */
    private const LONGEST = 2_000;

    private function __construct(public float $a, public float $b, public float $c, public float $d, public float $e, public float $f)
    {
    }

    public static function identity(): self
    {
        return new self(1, 0, 0, d: 1, e: 0, f: 0);
    }

    public static function scale(float $x, float $y): self
    {
        return new self($x, 0, 0, d: $y, e: 0, f: 0);
    }

    public static function move(float $x, float $y): self
    {
        return new self(1, 0, 0, d: 1, e: $x, f: $y);
    }

    /**
     * Reads a transform attribute: SVG 1.1, section 7.6.
     *
     * @throws \InvalidArgumentException naming what cannot be read
     */
    public static function read(string $text): self
    {
        $whole = self::identity();
        $text = trim($text);
        if (\strlen($text) > self::LONGEST) {
            throw new \InvalidArgumentException($text);
        }
        for ($at = 0; $at < \strlen($text); $at += \strlen($part[0])) {
            if (1 !== preg_match('/\G(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)[\s,]*/', $text, $part, 0, $at)) {
                throw new \InvalidArgumentException(substr($text, $at));
            }
            $n = array_map(floatval(...), (array) preg_split('/[\s,]+/', trim($part[2])));
            $whole = $whole->times(
                match ([$part[1], \count($n)]) {
                    ['matrix', 6] => new self(...$n),
                    ['translate', 1] => self::move($n[0], 0),
                    ['translate', 2] => self::move($n[0], $n[1]),
                    ['scale', 1] => self::scale($n[0], $n[0]),
                    ['scale', 2] => self::scale($n[0], $n[1]),
                    ['rotate', 1] => self::turn($n[0]),
                    ['rotate', 3] => self::move($n[1], $n[2])->times(self::turn($n[0]))->times(self::move(-$n[1], -$n[2])),
                    ['skewX', 1] => new self(1, 0, tan(deg2rad($n[0])), d: 1, e: 0, f: 0),
                    ['skewY', 1] => new self(1, tan(deg2rad($n[0])), 0, d: 1, e: 0, f: 0),
                    default => throw new \InvalidArgumentException($part[0]),
                },
            );
        }

        return $whole;
    }

    /** First $inner, then this. */
    public function times(self $inner): self
    {
        return new self(
            $this->a * $inner->a + $this->c * $inner->b,
            $this->b * $inner->a + $this->d * $inner->b,
            $this->a * $inner->c + $this->c * $inner->d,
            d: $this->b * $inner->c + $this->d * $inner->d,
            e: $this->a * $inner->e + $this->c * $inner->f + $this->e,
            f: $this->b * $inner->e + $this->d * $inner->f + $this->f,
        );
    }

    /**
     * @param array{float, float} $p
     *
     * @return array{float, float}
     */
    public function apply(array $p): array
    {
        return [$this->a * $p[0] + $this->c * $p[1] + $this->e, $this->b * $p[0] + $this->d * $p[1] + $this->f];
    }

    /** The most by which it stretches a length. */
    public function stretch(): float
    {
        $sum = $this->a ** 2 + $this->b ** 2 + $this->c ** 2 + $this->d ** 2;

        return sqrt(($sum + sqrt(max(0.0, $sum ** 2 - 4 * ($this->a * $this->d - $this->b * $this->c) ** 2))) / 2);
    }

    private static function turn(float $degrees): self
    {
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];

        return new self($cos, $sin, -$sin, d: $cos, e: 0, f: 0);
    }
}
