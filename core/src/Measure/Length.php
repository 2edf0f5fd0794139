<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/**
 * A length in whole micrometres: inches, eighths and millimetres are all exact. May be negative as the result of a
 * subtraction; what people type is always above zero.
 */
final readonly class Length
{
    /** Longer than any bolt: what is typed above this is a slip. */
    public const LONGEST = 500_000_000;

    private function __construct(public int $micrometres)
    {
    }

    public static function ofMicrometres(int $micrometres): self
    {
        return new self($micrometres);
    }

    public static function zero(): self
    {
        return new self(0);
    }

    /** @throws Unreadable when the amount is not a plain decimal */
    public static function ofMetres(string $amount): self
    {
        return self::of($amount, Unit::Metre);
    }

    /**
     * @param string $amount a decimal with a point, such as "1.4", rounded to the nearest micrometre
     *
     * @throws Unreadable
     */
    public static function of(string $amount, Unit $unit): self
    {
        if (1 !== preg_match('/^(-?)(\d{0,9})(?:\.(\d{1,6}))?$/', $amount, $part) || '' === $part[2].($part[3] ?? '')) {
            throw Unreadable::because('“{text}” is not a decimal number.', ['text' => $amount]);
        }
        $fraction = $part[3] ?? '';
        $digits = (int) ($part[2].$fraction);
        $micrometres = Rounding::Nearest->divide($digits * $unit->value, 10 ** \strlen($fraction));

        return new self('-' === $part[1] ? -$micrometres : $micrometres);
    }

    /** @param float|int $millimetres as in the exchange format, rounded to the nearest micrometre */
    public static function ofMillimetres(float|int $millimetres): self
    {
        return new self((int) round($millimetres * 1000));
    }

    /**
     * Reads what people write: "1.4", "1,4 m", "140cm", "1 5/8 yd", "1⅝", "1-5/8\"", "half a metre", "1 m 20"; of a range,
     * such as 44/45", the smaller figure.
     *
     * @param Unit $default the unit of a bare number
     * @param bool $larger  take the larger figure of a range: what is needed, not what is there
     *
     * @throws Unreadable with a sentence that says what to type
     */
    public static function parse(string $text, Unit $default, bool $larger = false): self
    {
        return (new LengthReader($larger))->read($text, $default);
    }

    public function millimetres(): float|int
    {
        return 0 === $this->micrometres % 1000 ? intdiv($this->micrometres, 1000) : $this->micrometres / 1000;
    }

    public function plus(self $other): self
    {
        return new self($this->micrometres + $other->micrometres);
    }

    public function minus(self $other): self
    {
        return new self($this->micrometres - $other->micrometres);
    }

    public function times(int $factor): self
    {
        return new self($this->micrometres * $factor);
    }

    /** This length × numerator / denominator, to the micrometre. */
    public function scaled(int $numerator, int $denominator, Rounding $rounding): self
    {
        return new self($rounding->divide($this->micrometres * $numerator, $denominator));
    }

    /** Up or down to a whole number of steps, as a shop's counter does. */
    public function toStep(self $step, Rounding $rounding): self
    {
        return new self($rounding->divide($this->micrometres, $step->micrometres) * $step->micrometres);
    }

    public function negated(): self
    {
        return new self(-$this->micrometres);
    }

    public function larger(self $other): self
    {
        return $this->isLessThan($other) ? $other : $this;
    }

    public function smaller(self $other): self
    {
        return $this->isLessThan($other) ? $this : $other;
    }

    public function isLessThan(self $other): bool
    {
        return $this->micrometres < $other->micrometres;
    }

    public function equals(self $other): bool
    {
        return $this->micrometres === $other->micrometres;
    }

    public function isZero(): bool
    {
        return 0 === $this->micrometres;
    }

    public function isPositive(): bool
    {
        return $this->micrometres > 0;
    }

    public function isNegative(): bool
    {
        return $this->micrometres < 0;
    }
}
