<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;

/** What may be done about a shortfall by cutting pieces in other shapes, or turning them. Source: docs/rules.md. */
final readonly class Reshaping
{
    /** Pieces that may lie across the grain. */
    private const TURNED = '/\b(yoke|band|cuff|waistband|collar|stand|pocket|flap|welt|tie|belt|loop|tab)s?\b/iu';

    /** Pieces of which a seam is seldom seen, and those whose straight edge may be a seam in the middle. */
    private const SELDOM = '/back|facing|yoke/i';
    private const MIDDLE = '/\b(back|skirt|cent(re|er))\b/i';
    private const OPENING = '/\b(facing|pocket|placket|band)s?\b/i';

    /** Pieces that are gathered into a seam which keeps its length. */
    private const GATHERED = '/\b(gathered|ruffle|frill|flounce|tier|peplum)s?\b/i';

    /** A piece so long is a body length, mm; a seam allowance is not made narrower than this, micrometres. */
    private const BODY = 400.0;
    private const NARROW = 10_000;

    /** At a seam where there was a fold, or the other way about, mm; and an edge so nearly straight is one. */
    private const SEAM = 15.0;
    private const STRAIGHT = 1.0;

    /** Of a piece's length, what such an edge must reach along. */
    private const ALONG = 0.95;

    public function __construct(private Laying $laying)
    {
    }

    /** Shorter at the hem by so much; null when no piece is a body length. */
    public function shorter(int $centimetres): ?Change
    {
        $names = $this->laying->named(
            fn (string $name): bool => $this->laying->long($name) >= self::BODY
                && !PartKind::Sleeves->isNamed($name)
                && !PartKind::Facings->isNamed($name),
        );

        usort($names, fn (string $a, string $b): int => $this->laying->long($b) <=> $this->laying->long($a));
        $left = [] === $names ? 0 : (int) floor($this->laying->long($names[0]) - 10 * $centimetres);

        return $centimetres < 1 || $left <= 0
            ? null
            : self::change(
                'shorter:'.$centimetres,
                new Sentence('Shorter by {length}: {left} of {piece} are left', [
                    'length' => Figure::exact(Length::ofMillimetres(10 * $centimetres)),
                    'left' => Figure::owned(Length::ofMillimetres($left)),
                    'piece' => $names[0],
                ]),
                new Sentence('shorter at the hem'),
                harm: 3,
                names: $names,
                shape: static function (Piece $piece, Laying $all) use ($centimetres): Piece {
                    $long = $all->long($piece->name);

                    return $all->scaled($piece, max(0.3, ($long - 10 * $centimetres) / $long), 1);
                },
            );
    }

    /**
     * Less flare or fullness by so many per cent, below a seam that keeps its length: of what is gathered into a seam the whole width,
     * of a skirt only what it is wider than at the hip, so that a waist stays a waist. Null when no piece has any to speak of.
     */
    public function lessFull(int $percent): ?Change
    {
        $names =
            $percent < 1
                ? []
                : $this->laying->named(fn (string $name): bool => null !== $this->narrower($this->laying->pieces[$name], $percent));

        return self::change(
            'less full:'.$percent,
            new Sentence('{percent} % less flare or fullness in {pieces}', ['percent' => $percent, 'pieces' => implode(', ', $names)]),
            new Sentence('it falls a little straighter'),
            harm: 4,
            names: $names,
            shape: fn (Piece $piece): Piece => $this->narrower($piece, $percent) ?? $piece,
        );
    }

    /** A piece with less flare or fullness; null when it has none to spare. */
    private function narrower(Piece $piece, int $percent): ?Piece
    {
        $shape = $piece->in($this->laying->size);
        if (null === $shape || $piece->grain->isAcross()) {
            return null;
        }
        if (1 === preg_match(self::GATHERED, $piece->name)) {
            return $this->laying->scaled($piece, 1, (100 - $percent) / 100);
        }
        $flare =
            PartKind::Skirt->isNamed($piece->name) || 1 === preg_match('/\b(panel|gore)s?\b/i', $piece->name)
                ? (new Flare($shape->drawn))->reduced($percent)
                : null;

        return null === $flare ? null : $piece->renamed($piece->name, $piece->role, [new Shape([], $flare, $shape->allowance)]);
    }

    public function shortSleeves(): ?Change
    {
        $names = $this->laying->named(PartKind::Sleeves->isNamed(...));

        return max([0.0, ...array_map($this->laying->long(...), $names)]) < self::BODY
            ? null
            : self::change(
                'short sleeves',
                new Sentence('Short sleeves: half as long'),
                new Sentence('another garment, for warmer days'),
                harm: 3,
                names: $names,
                shape: static fn (Piece $piece, Laying $all): Piece => $all->scaled($piece, 0.5, 1),
            );
    }

    public function turned(): ?Change
    {
        $names = $this->laying->named(
            fn (string $name): bool => 1 === preg_match(self::TURNED, $name) && Grain::Along === $this->laying->pieces[$name]->grain,
        );

        return self::change(
            'turned',
            new Sentence('{pieces} across the grain where it suits', ['pieces' => implode(', ', $names)]),
            new Sentence('hardly seen on plain cloth'),
            harm: 1,
            names: $names,
            shape: static fn (Piece $piece): Piece => self::like($piece, $piece->shapes, grain: Grain::Either),
        );
    }

    public function narrow(): ?Change
    {
        $isWide = fn (string $name): bool => ($this->laying->shape($name)?->allowance->micrometres ?? 0) > self::NARROW;
        $names = $this->laying->named($isWide);

        return self::change(
            'narrow',
            new Sentence('Seam allowances of 1 cm'),
            new Sentence('nothing to let out later'),
            harm: 1,
            names: $names,
            shape: static function (Piece $piece, Laying $all): Piece {
                $shape = $piece->in($all->size);

                return null === $shape ? $piece : self::like($piece, [self::narrowed($shape)]);
            },
        );
    }

    /** One size smaller, with narrow allowances; null where its pieces are not entered. */
    public function smaller(): ?Change
    {
        $size = $this->laying->smaller;
        $names = null === $size ? [] : $this->laying->named(fn (string $name): bool => null !== $this->laying->pieces[$name]->in($size));

        return null === $size || \count($names) < \count($this->laying->pieces)
            ? null
            : self::change(
                'smaller',
                new Sentence('One size smaller, {size}, with allowances of 1 cm', ['size' => $size]),
                new Sentence('only where you know how it fits'),
                harm: 3,
                names: $names,
                shape: static function (Piece $piece) use ($size): Piece {
                    $shape = $piece->in($size);

                    return null === $shape ? $piece : self::like($piece, [self::narrowed($shape)]);
                },
            );
    }

    /** @return list<?Change> a seam where there was a fold, of the two largest pieces on it */
    public function seams(): array
    {
        $folded = array_filter($this->laying->pieces, static fn (Piece $piece): bool => $piece->onFold);
        uasort($folded, fn (Piece $a, Piece $b): int => $b->area($this->laying->size) <=> $a->area($this->laying->size));

        return array_map(static function (Piece $piece): ?Change {
            $seldom = 1 === preg_match(self::SELDOM, $piece->name);

            return self::change(
                'seam:'.$piece->name,
                new Sentence('A seam in the middle of {piece}, where there was a fold', ['piece' => $piece->name]),
                new Sentence($seldom ? 'a seam, where it is seldom seen' : 'a seam shows'),
                harm: $seldom ? 1 : 2,
                names: [$piece->name],
                shape: static function (Piece $piece, Laying $all): Piece {
                    $cut = $piece->in($all->size)?->cutOut(true);

                    return null === $cut ? $piece : self::like($piece, [new Shape([], self::wider($cut, self::SEAM))], 2, true, false);
                },
            );
        }, \array_slice(array_values($folded), 0, 2));
    }

    /** @return list<?Change> a straight seam in the middle cut as one on the fold, which saves both its allowances */
    public function folds(): array
    {
        $names = $this->laying->named(
            fn (string $name): bool => 1 === preg_match(self::MIDDLE, $name)
                && 1 !== preg_match(self::OPENING, $name)
                && null !== self::halved($this->laying->pieces[$name], $this->laying->size),
        );

        return array_map(
            static fn (string $name): ?Change => self::change(
                'fold:'.$name,
                new Sentence('{piece} cut as one on the fold, without the seam in the middle', ['piece' => $name]),
                new Sentence('only where no zip or opening is in that seam'),
                harm: 1,
                names: [$name],
                shape: static function (Piece $piece, Laying $all): Piece {
                    $half = self::halved($piece, $all->size);

                    return null === $half ? $piece : self::like($piece, [$half], 0.5, false, true);
                },
            ),
            $names,
        );
    }

    /** A piece of a pair as the half of one on the fold; null when it is none, or its edge is not straight along the grain. */
    private static function halved(Piece $piece, string $size): ?Shape
    {
        $shape = $piece->in($size);
        if (null === $shape || !$piece->pair || $piece->onFold || 0 !== $piece->quantity % 2 || Grain::Along !== $piece->grain) {
            return null;
        }
        foreach ([$shape->drawn, $shape->drawn->flipped()] as $drawn) {
            $straight = self::straightened($drawn->atOrigin());
            if (null !== $straight) {
                return new Shape([], null === $shape->allowance ? self::wider($straight, -self::SEAM) : $straight, $shape->allowance);
            }
        }

        return null;
    }

    /** With the edge along its grain on y = 0; null when that is not one straight edge. */
    private static function straightened(Outline $outline): ?Outline
    {
        $points = $outline->points;
        foreach ($points as $i => [$x, $y]) {
            $points[$i] = [$x, $y <= self::STRAIGHT ? 0.0 : $y];
        }
        $along = 0.0;
        foreach ($points as $i => [$x, $y]) {
            $next = $points[($i + 1) % \count($points)];
            $along += 0.0 === $y && 0.0 === $next[1] ? abs($next[0] - $x) : 0;
        }

        return $along < self::ALONG * $outline->length() ? null : Outline::of($points);
    }

    private static function narrowed(Shape $shape): Shape
    {
        $narrow = Length::ofMicrometres(self::NARROW);

        return new Shape([], $shape->drawn, $shape->allowance?->smaller($narrow));
    }

    private static function wider(Outline $outline, float $millimetres): Outline
    {
        return $outline->scaled(1, ($outline->width() + $millimetres) / max(1.0, $outline->width()));
    }

    /** @param list<Shape> $shapes */
    private static function like(
        Piece $piece,
        array $shapes,
        float $times = 1,
        ?bool $pair = null,
        ?bool $onFold = null,
        ?Grain $grain = null,
    ): Piece {
        return new Piece(
            $piece->name,
            $piece->role,
            (int) ($piece->quantity * $times),
            pair: $pair ?? $piece->pair,
            onFold: $onFold ?? $piece->onFold,
            grain: $grain ?? $piece->grain,
            instead: $piece->instead,
            shapes: $shapes,
        );
    }

    /**
     * @param list<string>                   $names none for no change
     * @param \Closure(Piece, Laying): Piece $shape
     */
    private static function change(string $key, Sentence $words, Sentence $costs, int $harm, array $names, \Closure $shape): ?Change
    {
        return [] === $names
            ? null
            : new Change(
                $key,
                $words,
                $costs,
                harm: $harm,
                pieces: $names,
                shapes: static fn (Laying $all): Laying => $all->changed($names, $shape),
            );
    }
}
