<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/**
 * Writes lengths in the reader's units, rounded towards safety: metres to 2 places (cm below 1 m), or yards and eighths
 * (inches and eighths below ½ yd).
 */
final readonly class LengthFormatter
{
    private const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];
    private const EIGHTH_INCH = 3_175;

    /** @param bool $both whether what is owned, needed and wide is written in the other units, too */
    public function __construct(public System $system, private bool $both = false)
    {
    }

    public function write(Figure $figure): string
    {
        $length = $figure->length;
        if ($this->both && \in_array($figure->shown, [Shown::Owned, Shown::Needed, Shown::Width], true)) {
            $other = new self(System::Metric === $this->system ? System::Imperial : System::Metric);

            return (new self($this->system))->write($figure).' ('.$other->write($figure).')';
        }

        return match ($figure->shown) {
            Shown::Owned => $this->rounded($length, Rounding::Down),
            Shown::Needed => $this->rounded($length, Rounding::Up),
            Shown::Exact => $this->exact($length),
            Shown::Width => System::Metric === $this->system
                ? Rounding::Down->divide($length->micrometres, Unit::Centimetre->value).' cm'
                : $this->eighths(Rounding::Down->divide($length->micrometres, self::EIGHTH_INCH)).' in',
            Shown::Notion => System::Metric === $this->system && $length->micrometres < 10 * Unit::Centimetre->value
                ? $this->decimal($length, Unit::Millimetre, 1, 0, Rounding::Nearest).' mm'
                : $this->write(Figure::body($length)),
            Shown::Body => System::Metric === $this->system
                ? $this->decimal($length, Unit::Centimetre, 1, 0, Rounding::Nearest).' cm'
                : $this->eighths(Rounding::Nearest->divide($length->micrometres, self::EIGHTH_INCH)).' in',
        };
    }

    /**
     * The marks of the tape up to a length, for what reads one while it moves: each centimetre, or each eighth (of an inch below ½ yd).
     *
     * @return list<array{float, string}> millimetres and what is written there, ascending
     */
    public function marks(Length $to): array
    {
        $marks = [];
        for ($at = 0; $at <= $to->micrometres; $at += $step) {
            $length = Length::ofMicrometres($at);
            $marks[] = [$length->millimetres(), $this->rounded($length, Rounding::Up)];
            $step = match (true) {
                System::Metric === $this->system => Unit::Centimetre->value,
                $at < 18 * 8 * self::EIGHTH_INCH => self::EIGHTH_INCH,
                default => Unit::EighthYard->value,
            };
        }

        return $marks;
    }

    /**
     * The length exactly, as someone might type it; read again it gives the same length.
     *
     * @param bool $small a width or another measure for which people use cm and inches
     */
    public function typed(Length $length, bool $small = false): string
    {
        if ($length->isNegative()) {
            return '-'.$this->typed($length->negated(), $small);
        }
        $eighths = 0 === $length->micrometres % self::EIGHTH_INCH ? intdiv($length->micrometres, self::EIGHTH_INCH) : null;
        $whole = 0 === $length->micrometres % Unit::Millimetre->value;
        if (null !== $eighths && (System::Imperial === $this->system || !$whole)) {
            return !$small && 0 === $length->micrometres % Unit::EighthYard->value && $eighths >= 18 * 8
                ? $this->eighths(intdiv($length->micrometres, Unit::EighthYard->value)).' yd'
                : $this->eighths($eighths).' in';
        }

        return $small || $length->isLessThan(Length::ofMicrometres(Unit::Metre->value))
            ? $this->decimal($length, Unit::Centimetre, 4, 0, Rounding::Nearest).' cm'
            : $this->decimal($length, Unit::Metre, 6, 0, Rounding::Nearest).' m';
    }

    private function rounded(Length $length, Rounding $rounding): string
    {
        if (System::Metric === $this->system) {
            $centimetres = $rounding->divide($length->micrometres, Unit::Centimetre->value);

            return abs($centimetres) < 100
                ? $this->minus($centimetres).abs($centimetres).' cm'
                : $this->minus($centimetres).\sprintf('%d.%02d m', intdiv(abs($centimetres), 100), abs($centimetres) % 100);
        }
        $inchEighths = $rounding->divide($length->micrometres, self::EIGHTH_INCH);
        if (abs($inchEighths) < 18 * 8) {
            return $this->eighths($inchEighths).' in';
        }

        return $this->eighths($rounding->divide($length->micrometres, Unit::EighthYard->value)).' yd';
    }

    private function exact(Length $length): string
    {
        $small = abs($length->micrometres);

        return match (true) {
            System::Metric === $this->system && $small < Unit::Metre->value => $this->decimal(
                $length,
                Unit::Centimetre,
                1,
                0,
                Rounding::Nearest,
            ).' cm',
            System::Metric === $this->system => $this->decimal($length, Unit::Metre, 3, 2, Rounding::Nearest).' m',
            default => $this->yardsAndInches($length),
        };
    }

    /** "1 yd 35⅞ in", to the nearest eighth of an inch: as a tape says it. */
    private function yardsAndInches(Length $length): string
    {
        $eighths = Rounding::Nearest->divide(abs($length->micrometres), self::EIGHTH_INCH);
        [$yards, $rest] = [intdiv($eighths, 288), $eighths % 288];
        $parts = array_filter(
            [$yards > 0 ? $yards.' yd' : '', $rest > 0 || 0 === $yards ? $this->eighths($rest).' in' : ''],
            static fn (string $part): bool => '' !== $part,
        );

        return $this->minus($length->micrometres).implode(' ', $parts);
    }

    /** A decimal with at most $places, of which trailing noughts are dropped down to $least. */
    private function decimal(Length $length, Unit $unit, int $places, int $least, Rounding $rounding): string
    {
        $scaled = $rounding->divide($length->micrometres * 10 ** $places, $unit->value);
        $digits = str_pad((string) abs($scaled), $places + 1, '0', \STR_PAD_LEFT);
        $fraction = rtrim(substr($digits, -$places), '0');
        $fraction = str_pad($fraction, $least, '0');

        return $this->minus($scaled).substr($digits, 0, -$places).('' === $fraction ? '' : '.'.$fraction);
    }

    private function eighths(int $eighths): string
    {
        $whole = intdiv(abs($eighths), 8);
        $part = self::EIGHTHS[abs($eighths) % 8];

        return $this->minus($eighths).(0 === $whole && '' !== $part ? '' : (string) $whole).$part;
    }

    private function minus(int $number): string
    {
        return $number < 0 ? '−' : '';
    }
}
