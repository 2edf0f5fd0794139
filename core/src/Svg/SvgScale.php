<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Shape\Affine;

/** Lengths and scales of a file: what its units come to in millimetres. */
final readonly class SvgScale
{
    /** Millimetres. */
    private const UNITS = [
        'mm' => 1.0,
        'cm' => 10.0,
        'in' => 25.4,
        'pt' => 25.4 / 72,
        'pc' => 25.4 / 6,
        'px' => 25.4 / 96,
        'q' => 0.25,
        '' => 25.4 / 96,
    ];

    /**
     * The scale of an svg element: its size in real units over its view box.
     *
     * @return array{Affine, bool} to millimetres, and whether the file says so
     */
    public function page(\DOMElement $svg): array
    {
        $box = $this->viewBox($svg);
        $width = $this->length($svg->getAttribute('width'));
        $height = $this->length($svg->getAttribute('height'));
        if (null === $box) {
            return [
                Affine::scale(self::UNITS['px'], self::UNITS['px']),
                null !== $width && 1 === preg_match('/(mm|cm|in|pt|pc|q)$/i', $svg->getAttribute('width')),
            ];
        }
        [$x, $y, $w, $h] = $box;
        $scaled = null !== $width || null !== $height;
        $sx = ($width ?? (($height ?? $h * self::UNITS['px']) / $h) * $w) / $w;
        $sy = ($height ?? (($width ?? $w * self::UNITS['px']) / $w) * $h) / $h;
        if ('none' !== trim($svg->getAttribute('preserveAspectRatio'))) {
            $sx = $sy = str_contains($svg->getAttribute('preserveAspectRatio'), 'slice') ? max($sx, $sy) : min($sx, $sy);
        }

        return [Affine::scale($sx, $sy)->times(Affine::move(-$x, -$y)), $scaled];
    }

    /** The scale of an svg within another, in whose unit its size is given. */
    public function nested(\DOMElement $svg): Affine
    {
        $box = $this->viewBox($svg);
        if (null === $box) {
            return Affine::identity();
        }
        $sx = ($svg->hasAttribute('width') ? $this->number($svg, 'width') : $box[2]) / $box[2];
        $sy = ($svg->hasAttribute('height') ? $this->number($svg, 'height') : $box[3]) / $box[3];
        $scale = min($sx, $sy);

        return Affine::move((($sx - $scale) * $box[2]) / 2, (($sy - $scale) * $box[3]) / 2)
            ->times(Affine::scale($scale, $scale))
            ->times(Affine::move(-$box[0], -$box[1]));
    }

    /** In the element's own unit. */
    public function number(\DOMElement $element, string $name): float
    {
        $text = trim($element->getAttribute($name));

        return 1 === preg_match('/^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i', $text)
            ? (float) $text
            : ($this->length($text) ?? 0.0) / self::UNITS['px'];
    }

    /** @return ?array{float, float, float, float} x, y, width and height */
    private function viewBox(\DOMElement $svg): ?array
    {
        $box = array_map(floatval(...), (array) preg_split('/[\s,]+/', trim($svg->getAttribute('viewBox'))));

        return 4 === \count($box) && $box[2] > 0 && $box[3] > 0 ? [$box[0], $box[1], $box[2], $box[3]] : null;
    }

    /** In millimetres; null for none, or a share of something. */
    private function length(string $text): ?float
    {
        return 1 === preg_match('/^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|pc|px|q|)\s*$/i', $text, $part)
            && (float) $part[1] > 0
            ? (float) $part[1] * self::UNITS[strtolower($part[2])]
            : null;
    }
}
