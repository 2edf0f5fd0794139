<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** A share of a hundred, held in hundredths of a per cent. */
final readonly class Percent implements \Stringable
{
    private const WHOLE = 10_000;

    private function __construct(public int $hundredths)
    {
    }

    /** @throws Unreadable below 0 or above 100 */
    public static function of(float|int $percent): self
    {
        return self::ofHundredths((int) round($percent * 100));
    }

    /** @throws Unreadable below 0 or above 100 */
    public static function ofHundredths(int $hundredths): self
    {
        if ($hundredths < 0 || $hundredths > self::WHOLE) {
            throw Unreadable::because(
                '{number} % is not a share: type a number from 0 to 100.',
                ['number' => (string) ($hundredths / 100)],
            );
        }

        return new self($hundredths);
    }

    /** What is left of a length when this share is gone. */
    public function takenFrom(Length $length, Rounding $rounding): Length
    {
        return $length->scaled(self::WHOLE - $this->hundredths, self::WHOLE, $rounding);
    }

    /** The length that leaves the given one when this share is gone: length / (1 − share). */
    public function beforeLossOf(Length $length): Length
    {
        return $length->scaled(self::WHOLE, max(1, self::WHOLE - $this->hundredths), Rounding::Up);
    }

    public function shareOf(Length $length, Rounding $rounding): Length
    {
        return $length->scaled($this->hundredths, self::WHOLE, $rounding);
    }

    public function isZero(): bool
    {
        return 0 === $this->hundredths;
    }

    /** As in the exchange format. */
    public function number(): float|int
    {
        return 0 === $this->hundredths % 100 ? intdiv($this->hundredths, 100) : $this->hundredths / 100;
    }

    public function __toString(): string
    {
        return $this->number().' %';
    }
}
