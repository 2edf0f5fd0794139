<?php

declare(strict_types=1);

namespace Octavum\Core\Colour;

/** A colour as the eye sees it: CIE L*a*b* under daylight D65. */
final readonly class Lab
{
    public function __construct(public float $l, public float $a, public float $b)
    {
    }

    /** @param string $hex such as #27405e, in sRGB */
    public static function ofHex(string $hex): self
    {
        return self::ofRgb((int) hexdec(substr($hex, 1, 2)), (int) hexdec(substr($hex, 3, 2)), (int) hexdec(substr($hex, 5, 2)));
    }

    /** From sRGB, 0 to 255 each (IEC 61966-2-1). */
    public static function ofRgb(int $red, int $green, int $blue): self
    {
        [$r, $g, $b] = array_map(
            static fn (int $part): float => $part <= 10 ? $part / 255 / 12.92 : (($part / 255 + 0.055) / 1.055) ** 2.4,
            [$red, $green, $blue],
        );
        $bend = static fn (float $t): float => $t > 216 / 24389 ? $t ** (1 / 3) : ((24389 / 27) * $t + 16) / 116;
        $x = $bend((0.4124564 * $r + 0.3575761 * $g + 0.1804375 * $b) / 0.95047);
        $y = $bend(0.2126729 * $r + 0.7151522 * $g + 0.072175 * $b);
        $z = $bend((0.0193339 * $r + 0.119192 * $g + 0.9503041 * $b) / 1.08883);

        return new self(116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z));
    }

    public function toHex(): string
    {
        $y = ($this->l + 16) / 116;
        $unbend = static fn (float $t): float => $t ** 3 > 216 / 24389 ? $t ** 3 : ((116 * $t - 16) * 27) / 24389;
        [$x, $y, $z] = [0.95047 * $unbend($y + $this->a / 500), $unbend($y), 1.08883 * $unbend($y - $this->b / 200)];
        $parts = array_map(
            static function (float $part): int {
                $part = $part <= 0.0031308 ? 12.92 * $part : 1.055 * $part ** (1 / 2.4) - 0.055;

                return (int) round(255 * max(0.0, min(1.0, $part)));
            },
            [
                3.2404542 * $x - 1.5371385 * $y - 0.4985314 * $z,
                -0.969266 * $x + 1.8760108 * $y + 0.041556 * $z,
                0.0556434 * $x - 0.2040259 * $y + 1.0572252 * $z,
            ],
        );

        return \sprintf('#%02x%02x%02x', ...$parts);
    }

    /**
     * How different two colours look, CIEDE2000: below 1 hardly anybody sees it, about 10 the same colour name, 100 black
     * and white. After Sharma, Wu and Dalal, "The CIEDE2000 color-difference formula: implementation notes", 2005.
     */
    public function difference(self $other): float
    {
        $c7 = ((hypot($this->a, $this->b) + hypot($other->a, $other->b)) / 2) ** 7;
        $g = 0.5 * (1 - sqrt($c7 / ($c7 + 25 ** 7)));
        [$a1, $a2] = [(1 + $g) * $this->a, (1 + $g) * $other->a];
        [$c1, $c2] = [hypot($a1, $this->b), hypot($a2, $other->b)];
        [$h1, $h2] = [self::hue($a1, $this->b), self::hue($a2, $other->b)];
        $turn = 0.0 === $c1 * $c2 ? 0.0 : $h2 - $h1;
        $turn += $turn > 180 ? -360 : ($turn < -180 ? 360 : 0);
        $mean = $h1 + $h2;
        if (0.0 !== $c1 * $c2) {
            $mean = abs($h1 - $h2) <= 180 ? $mean / 2 : ($mean < 360 ? ($mean + 360) / 2 : ($mean - 360) / 2);
        }
        [$l, $c] = [($this->l + $other->l) / 2, ($c1 + $c2) / 2];
        $t =
            1
            - 0.17 * cos(deg2rad($mean - 30))
            + 0.24 * cos(deg2rad(2 * $mean))
            + 0.32 * cos(deg2rad(3 * $mean + 6))
            - 0.2 * cos(deg2rad(4 * $mean - 63));
        $dl = ($other->l - $this->l) / (1 + (0.015 * ($l - 50) ** 2) / sqrt(20 + ($l - 50) ** 2));
        $dc = ($c2 - $c1) / (1 + 0.045 * $c);
        $dh = (2 * sqrt($c1 * $c2) * sin(deg2rad($turn / 2))) / (1 + 0.015 * $c * $t);
        $twist = -sin(deg2rad(60 * exp(-((($mean - 275) / 25) ** 2)))) * 2 * sqrt($c ** 7 / ($c ** 7 + 25 ** 7));

        return sqrt($dl ** 2 + $dc ** 2 + $dh ** 2 + $twist * $dc * $dh);
    }

    private static function hue(float $a, float $b): float
    {
        return 0.0 === $a && 0.0 === $b ? 0.0 : fmod(rad2deg(atan2($b, $a)) + 360, 360);
    }
}
