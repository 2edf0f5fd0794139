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
    private const MOST_POINTS = 1500;
    private const DEEPEST = 40;
    private const MOST_LEFT_OUT = 200;
    private const MOST_OUTLINES = 300;

    /** What drawing an element costs beside its points. */
    private const ELEMENT = 100;

    /** By how much a flattened curve may leave its course, mm. */
    private const FLAT = 0.2;

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

    public function __construct(private readonly SvgScale $scale = new SvgScale())
    {
    }

    /** @throws Unreadable when the file as a whole cannot be taken */
    public function read(string $svg): Drawing
    {
        [$this->found, $this->leftOut, $this->ids, $this->lines, $this->budget] = [[], [], [], 0, new Budget()];
        $file = new SvgFile($svg);
        $this->ids = $file->ids;
        [$own, $scaled] = $this->scale->page($file->root);
        $this->children($file->root, $own, '', 'page', 0);
        $tidy = new Tidy($this->budget);
        $outlines = array_merge(...array_values(array_map($tidy->outermost(...), $this->found)));
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
        $kind = SvgFile::kind($element);
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
                            ->times(Affine::move($this->scale->number($element, 'x'), $this->scale->number($element, 'y')))
                            ->times($this->scale->nested($element)),
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
                            $to->times(Affine::move($this->scale->number($element, 'x'), $this->scale->number($element, 'y'))),
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

    /** @return list<array{list<array{float, float}>, bool}> */
    private function shape(string $kind, \DOMElement $element, float $tolerance): array
    {
        $n = fn (string $name): float => $this->scale->number($element, $name);
        $path = new PathReader($tolerance, $this->budget);

        return match ($kind) {
            'path' => $path->read($element->getAttribute('d')),
            'polygon', 'polyline' => $path->read('M'.$element->getAttribute('points').('polygon' === $kind ? 'Z' : '')),
            'rect' => $path->read(
                $this->rounded(
                    $n('x'),
                    $n('y'),
                    $n('width'),
                    h: $n('height'),
                    rx: $n($element->hasAttribute('rx') ? 'rx' : 'ry'),
                    ry: $n($element->hasAttribute('ry') ? 'ry' : 'rx'),
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
        $points = (new Tidy($this->budget))->simple(array_map($to->apply(...), $points));
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

    /** A title is the first thing in what it names, or close to it. */
    private function name(\DOMElement $element): string
    {
        for (
            [$child, $looked] = [$element->firstChild, 0];
            null !== $child && $looked < 20;
            [$child, $looked] = [$child->nextSibling, $looked + 1]
        ) {
            if ($child instanceof \DOMElement && 'title' === SvgFile::kind($child) && '' !== trim($child->textContent)) {
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
}
