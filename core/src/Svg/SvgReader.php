<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Shape\Affine;
use Octavum\Core\Shape\Outline;

/**
 * Reads pattern pieces from an SVG file: paths, polygons, rectangles and ellipses with nested transforms and view boxes, in
 * real units (96 px to the inch), curves flattened to a quarter of a millimetre. A named group is a piece; of outlines that
 * lie within another of the same group, such as a stitching line within the cutting line, the outermost counts. Nothing in
 * the file is run or fetched, and a file that asks for it is refused.
 */
final class SvgReader
{
    private const MOST_BYTES = 5_000_000;
    private const MOST_ELEMENTS = 20_000;
    private const MOST_POINTS = 1500;
    private const DEEPEST = 40;
    private const MOST_LEFT_OUT = 200;
    private const MOST_OUTLINES = 300;
    private const SOME = 24;

    /** What drawing an element costs beside its points. */
    private const ELEMENT = 100;

    /** By how much a flattened curve may leave its course, and by how much points may be left out after that; mm. */
    private const FLAT = 0.2;
    private const SIMPLE = 0.2;

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

    private const PASSED_OVER = [
        'defs',
        'symbol',
        'clippath',
        'mask',
        'pattern',
        'marker',
        'metadata',
        'title',
        'desc',
        'text',
        'style',
        'lineargradient',
        'radialgradient',
        'filter',
        'namedview',
        'view',
    ];

    /** @var array<string, list<array{string, Outline}>> by group */
    private array $found = [];

    /** @var list<Sentence> */
    private array $leftOut = [];

    /** @var array<string, \DOMElement> */
    private array $ids = [];

    private int $lines = 0;
    private Budget $budget;

    /** @throws Unreadable when the file as a whole cannot be taken */
    public function read(string $svg): Drawing
    {
        [$this->found, $this->leftOut, $this->ids, $this->lines, $this->budget] = [[], [], [], 0, new Budget()];
        $root = $this->parse($svg);
        [$own, $scaled] = $this->page($root);
        $this->children($root, $own, '', 'page', 0);
        $outlines = [];
        foreach ($this->found as $group) {
            array_push($outlines, ...$this->outermost($group));
        }
        if (\count($outlines) > self::MOST_OUTLINES) {
            $this->leftOut[] = new Sentence(
                '{count} outlines were left out: {most} can be taken from one file. Save the others in a file of their own.',
                ['count' => \count($outlines) - self::MOST_OUTLINES, 'most' => self::MOST_OUTLINES],
            );
            $outlines = \array_slice($outlines, 0, self::MOST_OUTLINES);
        }
        if ($this->lines > 0) {
            $this->leftOut[] = new Sentence(
                '{count, plural, one {One open line was} other {# open lines were}} passed over: a piece is a closed outline.',
                ['count' => $this->lines],
            );
        }
        if ([] === $outlines && [] === $this->leftOut) {
            $this->leftOut[] = new Sentence('There is no closed outline in this file.');
        }

        return new Drawing($outlines, $this->leftOut, $scaled);
    }

    private function parse(string $svg): \DOMElement
    {
        if (\strlen($svg) > self::MOST_BYTES) {
            throw Unreadable::because('This file is larger than 5 MB: save it without pictures, or a piece at a time.');
        }
        if (1 === preg_match('/<!(DOCTYPE|ENTITY)[^>]*(\[|ENTITY)/i', $svg)) {
            throw Unreadable::because(
                'This file defines entities, which can hide anything, so it was not opened: save it again as plain SVG.',
            );
        }
        $document = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        $read = '' !== trim($svg) && $document->loadXML($svg, \LIBXML_NONET | \LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $document->documentElement;
        if (!$read || null === $root) {
            throw Unreadable::because(
                'This is not a whole SVG file ({error}, line {line}): it may have been cut off on its way. Export it once more.',
                [
                    'error' => false === $error ? 'it is empty' : rtrim($error->message, ".\n "),
                    'line' => false === $error ? 1 : $error->line,
                ],
            );
        }
        if ('svg' !== $this->kind($root)) {
            throw Unreadable::because('This is not an SVG file: it begins with “{name}”.', ['name' => mb_substr($root->nodeName, 0, 40)]);
        }
        $this->harmless($root);

        return $root;
    }

    /** Refuses what would run or fetch something, and notes the ids. */
    private function harmless(\DOMElement $root): void
    {
        $count = 0;
        foreach ($this->under($root) as $element) {
            if (++$count > self::MOST_ELEMENTS) {
                throw Unreadable::because(
                    'This file has more than {most} elements: save the pieces alone, without the rest of the drawing.',
                    ['most' => self::MOST_ELEMENTS],
                );
            }
            $kind = $this->kind($element);
            if (
                \in_array(
                    $kind,
                    ['script', 'foreignobject', 'iframe', 'handler', 'animate', 'set', 'animatetransform', 'animatemotion'],
                    true,
                )
            ) {
                throw Unreadable::because(
                    'This file holds a “{name}” part, which could run something, so it was not opened: save it again as plain SVG.',
                    ['name' => $kind],
                );
            }
            foreach ($element->attributes as $attribute) {
                $name = strtolower($attribute->localName ?? '');
                $value = trim($attribute->nodeValue ?? '');
                if (str_starts_with($name, 'on')) {
                    throw Unreadable::because(
                        'This file holds a script (“{name}”), so it was not opened: save it again as plain SVG.',
                        ['name' => $name],
                    );
                }
                if ((\in_array($name, ['href', 'src'], true) && !str_starts_with($value, '#') && 'a' !== $kind) || $this->fetches($value)) {
                    throw Unreadable::because(
                        'This file refers to something outside itself (“{what}”), so it was not opened: save it again with everything in it.',
                        ['what' => mb_substr($value, 0, 60)],
                    );
                }
                if ('id' === $name) {
                    $this->ids[$value] = $element;
                }
            }
            if ('style' === $kind && $this->fetches($element->textContent)) {
                throw Unreadable::because(
                    'This file refers to something outside itself in its styles, so it was not opened: save it again with everything in it.',
                );
            }
        }
    }

    /** @return iterable<\DOMElement> this one and all within it, in the document's order */
    private function under(\DOMElement $root): iterable
    {
        $node = $root;
        while (null !== $node) {
            if ($node instanceof \DOMElement) {
                yield $node;
            }
            if (null !== $node->firstChild) {
                $node = $node->firstChild;
                continue;
            }
            while (null !== $node && $node !== $root && null === $node->nextSibling) {
                $node = $node->parentNode;
            }
            $node = $node === $root ? null : $node?->nextSibling;
        }
    }

    private function fetches(string $value): bool
    {
        return 1 === preg_match('/url\(\s*["\']?\s*(?!["\']?#)|@import/i', $value);
    }

    /**
     * The scale of an svg element: its size in real units over its view box.
     *
     * @return array{Affine, bool} to millimetres, and whether the file says so
     */
    private function page(\DOMElement $svg): array
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

    /** In the element's own unit. */
    private function number(\DOMElement $element, string $name): float
    {
        $text = trim($element->getAttribute($name));

        return 1 === preg_match('/^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i', $text)
            ? (float) $text
            : ($this->length($text) ?? 0.0) / self::UNITS['px'];
    }

    private function children(\DOMElement $parent, Affine $to, string $name, string $group, int $depth): void
    {
        if ($depth > self::DEEPEST) {
            throw Unreadable::because(
                'The groups of this file are nested more than {most} deep: save it again as plain SVG.',
                ['most' => self::DEEPEST],
            );
        }
        for ($child = $parent->firstChild; null !== $child; $child = $child->nextSibling) {
            if ($child instanceof \DOMElement) {
                $this->element($child, $to, $name, $group, $depth + 1);
            }
        }
    }

    private function element(\DOMElement $element, Affine $to, string $name, string $group, int $depth): void
    {
        $this->budget->spend(self::ELEMENT);
        $kind = $this->kind($element);
        if (
            \in_array($kind, self::PASSED_OVER, true)
            || 'none' === $element->getAttribute('display')
            || 1 === preg_match('/display\s*:\s*none/i', $element->getAttribute('style'))
        ) {
            return;
        }
        $own = $this->name($element);
        try {
            $to = $to->times(Affine::read($element->getAttribute('transform')));
            switch ($kind) {
                case 'g':
                case 'a':
                case 'switch':
                    $this->children(
                        $element,
                        $to,
                        '' === $own ? $name : $own,
                        '' === $own ? $group : $own.' '.spl_object_id($element),
                        $depth,
                    );
                    break;
                case 'svg':
                    $this->children(
                        $element,
                        $to
                            ->times(Affine::move($this->number($element, 'x'), $this->number($element, 'y')))
                            ->times($this->nested($element)),
                        $name,
                        $group,
                        $depth,
                    );
                    break;
                case 'use':
                    $used =
                        $this->ids[
                            ltrim($element->getAttribute('href').$element->getAttributeNS('http://www.w3.org/1999/xlink', 'href'), '#')
                        ] ?? null;
                    if (null !== $used && $depth < self::DEEPEST) {
                        $this->element(
                            $used,
                            $to->times(Affine::move($this->number($element, 'x'), $this->number($element, 'y'))),
                            '' === $own ? $name : $own,
                            $group,
                            $depth + 4,
                        );
                    }
                    break;
                default:
                    foreach ($this->shape($kind, $element, self::FLAT / max(1e-6, $to->stretch())) as [$points, $closed]) {
                        $this->take($points, $closed, $to, '' === $name ? $own : $name, $group);
                    }
            }
        } catch (\InvalidArgumentException $unreadable) {
            $this->leaveOut(
                new Sentence('“{name}” was left out: its “{part}” cannot be read.', [
                    'name' => '' === $own ? ('' === $name ? $kind : $name) : $own,
                    'part' => mb_substr($unreadable->getMessage(), 0, 40),
                ]),
            );
        }
    }

    private function leaveOut(Sentence $why): void
    {
        if (\count($this->leftOut) < self::MOST_LEFT_OUT) {
            $this->leftOut[] = $why;
        }
    }

    /** The scale of an svg within another, in whose unit its size is given. */
    private function nested(\DOMElement $svg): Affine
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

    /** @return list<array{list<array{float, float}>, bool}> */
    private function shape(string $kind, \DOMElement $element, float $tolerance): array
    {
        $n = fn (string $name): float => $this->number($element, $name);
        $path = new PathReader($tolerance, $this->budget);

        return match ($kind) {
            'path' => $path->read($element->getAttribute('d')),
            'polygon', 'polyline' => $path->read('M'.$element->getAttribute('points').('polygon' === $kind ? 'Z' : '')),
            'rect' => $path->read(
                $this->rounded(
                    $n('x'),
                    $n('y'),
                    $n('width'),
                    $n('height'),
                    $n($element->hasAttribute('rx') ? 'rx' : 'ry'),
                    $n($element->hasAttribute('ry') ? 'ry' : 'rx'),
                ),
            ),
            'circle' => [[$path->ellipse($n('cx'), $n('cy'), $n('r'), $n('r')), true]],
            'ellipse' => [[$path->ellipse($n('cx'), $n('cy'), $n('rx'), $n('ry')), true]],
            'line' => [[[[0.0, 0.0], [1.0, 1.0]], false]],
            default => [],
        };
    }

    private function rounded(float $x, float $y, float $w, float $h, float $rx, float $ry): string
    {
        [$rx, $ry] = [min($rx, $w / 2), min($ry, $h / 2)];

        return \sprintf(
            'M%F %FH%FA%F %F 0 0 1 %F %FV%FA%F %F 0 0 1 %F %FH%FA%F %F 0 0 1 %F %FV%FA%F %F 0 0 1 %F %FZ',
            $x + $rx,
            $y,
            $x + $w - $rx,
            $rx,
            $ry,
            $x + $w,
            $y + $ry,
            $y + $h - $ry,
            $rx,
            $ry,
            $x + $w - $rx,
            $y + $h,
            $x + $rx,
            $rx,
            $ry,
            $x,
            $y + $h - $ry,
            $y + $ry,
            $rx,
            $ry,
            $x + $rx,
            $y,
        );
    }

    /** @param list<array{float, float}> $points */
    private function take(array $points, bool $closed, Affine $to, string $name, string $group): void
    {
        if (!$closed) {
            ++$this->lines;

            return;
        }
        $points = $this->simple(array_map($to->of(...), $points));
        $name = mb_substr('' === $name ? 'Piece' : $name, 0, 60);
        if (\count($points) > self::MOST_POINTS) {
            $this->leaveOut(
                new Sentence('“{name}” was left out: it has {count} points, and {most} can be laid. Simplify its outline.', [
                    'name' => $name,
                    'count' => \count($points),
                    'most' => self::MOST_POINTS,
                ]),
            );

            return;
        }
        $this->budget->spend(intdiv(\count($points) ** 2, 8));
        try {
            $this->found[$group][] = [$name, Outline::of($points)];
        } catch (\InvalidArgumentException) {
            $box = Outline::convex($points);
            if ($box->length() * $box->width() > 100) {
                $this->leaveOut(
                    new Sentence(
                        '“{name}” was left out: its outline crosses itself or encloses nothing. Draw it so that the line never crosses its own way.',
                        ['name' => $name],
                    ),
                );
            }
        }
    }

    /**
     * Leaves out points that lie within the tolerance of the line without them (Douglas and Peucker 1973).
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private function simple(array $points): array
    {
        $count = \count($points);
        if ($count < 4) {
            return $points;
        }
        $far = 0;
        foreach ($points as $i => $p) {
            $far =
                hypot($p[0] - $points[0][0], $p[1] - $points[0][1])
                > hypot($points[$far][0] - $points[0][0], $points[$far][1] - $points[0][1])
                    ? $i
                    : $far;
        }
        $ring = [...$points, $points[0]];
        $keep = [0 => true, $far => true];
        for ($stack = [[0, $far], [$far, $count]]; null !== ($stretch = array_pop($stack));) {
            [$from, $to] = $stretch;
            $this->budget->spend($to - $from);
            [$a, $b] = [$ring[$from], $ring[$to]];
            $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $most = self::SIMPLE;
            $at = null;
            for ($i = $from + 1; $i < $to; ++$i) {
                $p = $ring[$i];
                $along =
                    $long < 1e-9
                        ? 0.0
                        : max(0.0, min(1.0, (($p[0] - $a[0]) * ($b[0] - $a[0]) + ($p[1] - $a[1]) * ($b[1] - $a[1])) / $long ** 2));
                $off = hypot($p[0] - $a[0] - $along * ($b[0] - $a[0]), $p[1] - $a[1] - $along * ($b[1] - $a[1]));
                if ($off > $most) {
                    [$most, $at] = [$off, $i];
                }
            }
            if (null !== $at) {
                $keep[$at] = true;
                array_push($stack, [$from, $at], [$at, $to]);
            }
        }
        ksort($keep);

        return array_map(static fn (int $i): array => $points[$i], array_keys($keep));
    }

    /**
     * @param list<array{string, Outline}> $group
     *
     * @return list<array{string, Outline}> those that do not lie within another
     */
    private function outermost(array $group): array
    {
        uasort($group, static fn (array $a, array $b): int => $b[1]->area() <=> $a[1]->area());
        $kept = [];
        foreach ($group as $i => [, $outline]) {
            foreach ($kept as [, $outer]) {
                $this->budget->spend(1);
                if (self::inBox($outline, $outer)) {
                    // some of its points tell as much as all do
                    $some = array_filter(
                        $outline->points,
                        static fn (int $i): bool => 0 === $i % (1 + intdiv(\count($outline->points), self::SOME)),
                        \ARRAY_FILTER_USE_KEY,
                    );
                    $this->budget->spend(\count($some) * \count($outer->points));
                    if ($outer->holds(Outline::convex(array_values($some)))) {
                        continue 2;
                    }
                }
            }
            $kept[$i] = $group[$i];
        }
        ksort($kept);
        $same = array_count_values(array_column($kept, 0));
        $seen = [];
        foreach ($kept as $i => [$name]) {
            $seen[$name] = ($seen[$name] ?? 0) + 1;
            $kept[$i][0] = 1 === $same[$name] ? $name : $name.' '.$seen[$name];
        }

        return array_values($kept);
    }

    private static function inBox(Outline $inner, Outline $outer): bool
    {
        return $inner->left >= $outer->left - 1
            && $inner->right <= $outer->right + 1
            && $inner->bottom >= $outer->bottom - 1
            && $inner->top <= $outer->top + 1;
    }

    /** A title is the first thing in what it names, or close to it. */
    private function name(\DOMElement $element): string
    {
        for (
            [$child, $looked] = [$element->firstChild, 0];
            null !== $child && $looked < 20;
            [$child, $looked] = [$child->nextSibling, $looked + 1]
        ) {
            if ($child instanceof \DOMElement && 'title' === $this->kind($child) && '' !== trim($child->textContent)) {
                return trim($child->textContent);
            }
        }
        foreach ($element->attributes as $attribute) {
            if (\in_array($attribute->localName, ['label', 'aria-label'], true) && '' !== trim($attribute->nodeValue ?? '')) {
                return trim($attribute->nodeValue ?? '');
            }
        }

        return trim($element->getAttribute('id'));
    }

    private function kind(\DOMElement $element): string
    {
        return strtolower($element->localName ?? $element->nodeName);
    }
}
