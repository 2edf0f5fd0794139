<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Lay\Grain;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\PartKind;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;

/** What may be done about the pieces of a garment when cloth is short, least harm first. Source: docs/rules.md. */
final readonly class Changes
{
    /** Pieces that nobody sees, by name. */
    private const HIDDEN =
        '/\b(under ?collar|inner (yoke|collar|waistband)|(yoke|waistband) (facing|lining)|inside|pocket (bag|facing)s?|pocketing)\b/iu';

    /** Pieces that may lie across the grain. */
    private const TURNED = '/\b(yoke|band|cuff|waistband|collar|stand|pocket|flap|welt|tie|belt|loop|tab)s?\b/iu';

    /** A piece so long is a body length, mm; and a seam allowance is not made narrower than this. */
    private const BODY = 400.0;
    private const NARROW = 10_000;

    /** Added at a seam where there was a fold, mm. */
    private const SEAM = 15.0;

    /**
     * @param bool $real the pieces are the version's own; of a generic block nobody knows which of its pieces the garment has
     *
     * @return list<Change> those that change something, but for what has a measure of its own: shorter, and less full
     */
    public function of(Laying $laying, bool $real): array
    {
        return array_values(array_filter(!$real ? [$this->narrow($laying)] : [
            $this->off($laying, 'binding', self::facings($laying), new Sentence('Facings replaced by bias binding'), self::unseen(), 0),
            $this->hidden($laying),
            $this->turned($laying),
            $this->narrow($laying),
            ...$this->seams($laying),
            ...$this->contrast($laying),
            $this->pocketless($laying),
            ...$this->sleeves($laying),
        ]));
    }

    /** Shorter at the hem by so much; null when no piece is a body length. */
    public function shorter(Laying $laying, int $centimetres): ?Change
    {
        $names = self::named(
            $laying,
            static fn (string $name): bool => $laying->long($name) >= self::BODY
                && !PartKind::Sleeves->isNamed($name)
                && !PartKind::Facings->isNamed($name),
        );

        return [] === $names || $centimetres < 1 ? null : new Change(
            'shorter:'.$centimetres,
            new Sentence('Shorter by {length}', ['length' => Figure::exact(Length::ofMillimetres(10 * $centimetres))]),
            new Sentence('shorter at the hem'),
            3,
            [],
            static fn (Laying $all): Laying => $all->changed($names, static function (Piece $piece) use ($all, $centimetres): array {
                $long = $all->long($piece->name);

                return [$all->scaled($piece, max(0.3, ($long - 10 * $centimetres) / $long), 1)];
            }),
        );
    }

    /** Less flare or fullness by so many per cent; null when no piece has any. */
    public function lessFull(Laying $laying, int $percent): ?Change
    {
        $names = self::named(
            $laying,
            static fn (string $name): bool => PartKind::Skirt->isNamed($name)
                || 1 === preg_match('/\b(flounce|tier|panel|gore)s?\b/i', $name),
        );

        return [] === $names || $percent < 1 ? null : new Change(
            'less full:'.$percent,
            new Sentence('{percent} % less flare or fullness in {pieces}', ['percent' => $percent, 'pieces' => implode(', ', $names)]),
            new Sentence('it falls a little straighter'),
            2,
            [],
            static fn (Laying $all): Laying => $all->changed($names, static fn (Piece $piece): array => [
                $all->scaled($piece, 1, (100 - $percent) / 100),
            ]),
        );
    }

    private function hidden(Laying $laying): ?Change
    {
        $names = self::named(
            $laying,
            static fn (string $name): bool => 1 === preg_match(self::HIDDEN, $name)
                || \in_array(Instead::OtherCloth, $laying->pieces[$name]->instead, true),
        );

        return $this->off($laying, 'hidden', $names, new Sentence('{pieces} from other cloth', [
            'pieces' => implode(', ', $names),
        ]), self::unseen(), 0);
    }

    private function turned(Laying $laying): ?Change
    {
        $names = self::named(
            $laying,
            static fn (string $name): bool => 1 === preg_match(self::TURNED, $name) && Grain::Along === $laying->pieces[$name]->grain,
        );

        return [] === $names ? null : new Change(
            'turned',
            new Sentence('{pieces} across the grain where it suits', ['pieces' => implode(', ', $names)]),
            new Sentence('hardly seen on plain cloth'),
            1,
            [],
            static fn (Laying $all): Laying => $all->changed($names, static fn (Piece $piece): array => [new Piece(
                $piece->name,
                $piece->role,
                $piece->quantity,
                $piece->pair,
                $piece->onFold,
                Grain::Either,
                $piece->instead,
                $piece->shapes,
            )]),
        );
    }

    private function narrow(Laying $laying): ?Change
    {
        $names = self::named(
            $laying,
            static fn (string $name): bool => ($laying->pieces[$name]->in($laying->size)?->allowance->micrometres ?? 0) > self::NARROW,
        );

        return [] === $names ? null : new Change(
            'narrow',
            new Sentence('Seam allowances of 1 cm'),
            new Sentence('nothing to let out later'),
            1,
            [],
            static fn (Laying $all): Laying => $all->changed($names, static function (Piece $piece) use ($all): array {
                $shape = $piece->in($all->size);

                return null === $shape ? [$piece] : [$piece->as($piece->name, $piece->role, [
                    new Shape([], $shape->drawn, Length::ofMicrometres(self::NARROW)),
                ])];
            }),
        );
    }

    /** @return list<Change> a seam where there was a fold, of the two largest pieces on it */
    private function seams(Laying $laying): array
    {
        $folded = array_filter($laying->pieces, static fn (Piece $piece): bool => $piece->onFold);
        uasort($folded, static fn (Piece $a, Piece $b): int => $b->area($laying->size) <=> $a->area($laying->size));

        return array_map(static fn (Piece $piece): Change => new Change(
            'seam:'.$piece->name,
            new Sentence('A seam in the middle of {piece}, where there was a fold', ['piece' => $piece->name]),
            new Sentence(1 === preg_match('/back|facing|yoke/i', $piece->name) ? 'a seam, where it is seldom seen' : 'a seam shows'),
            1 === preg_match('/back|facing|yoke/i', $piece->name) ? 1 : 2,
            [],
            static fn (Laying $all): Laying => $all->changed([$piece->name], static function (Piece $piece) use ($all): array {
                $shape = $piece->in($all->size);
                if (null === $shape) {
                    return [$piece];
                }
                $cut = $shape->cutOut(true);
                $wide = $cut->scaled(1, ($cut->width() + self::SEAM) / max(1.0, $cut->width()));

                return [new Piece(
                    $piece->name,
                    $piece->role,
                    2 * $piece->quantity,
                    true,
                    false,
                    $piece->grain,
                    $piece->instead,
                    [new Shape([], $wide)],
                )];
            }),
        ), \array_slice(array_values($folded), 0, 2));
    }

    /** @return list<Change> */
    private function contrast(Laying $laying): array
    {
        $parts = [];
        foreach ([PartKind::Collar, PartKind::Cuffs, PartKind::Waistband, PartKind::Hood, PartKind::Sleeves] as $kind) {
            $parts[$kind->value] = self::named(
                $laying,
                static fn (string $name): bool => $kind->isNamed($name) && 1 !== preg_match(self::HIDDEN, $name),
            );
        }
        $parts['yoke'] = self::named($laying, static fn (string $name): bool => 1 === preg_match('/\byoke\b/i', $name));
        $changes = [];
        foreach ($parts as $part => $names) {
            $changes[] = $this->off(
                $laying,
                'contrast:'.$part,
                $names,
                new Sentence('{part} from a cloth of another colour', ['part' => implode(', ', $names)]),
                new Sentence('it shows: choose one that goes with it'),
                2,
            );
        }

        return array_values(array_filter($changes));
    }

    private function pocketless(Laying $laying): ?Change
    {
        $names = self::named(
            $laying,
            static fn (string $name): bool => \in_array(Instead::Omitted, $laying->pieces[$name]->instead, true)
                || (PartKind::Pockets->isNamed($name) && 1 !== preg_match(self::HIDDEN, $name)),
        );

        return $this->off($laying, 'left out', $names, new Sentence('{pieces} left out', [
            'pieces' => implode(', ', $names),
        ]), new Sentence('they will be missed'), 3);
    }

    /** @return list<?Change> */
    private function sleeves(Laying $laying): array
    {
        $names = self::named($laying, PartKind::Sleeves->isNamed(...));
        $long = max([0.0, ...array_map($laying->long(...), $names)]);

        return [
            $long < self::BODY ? null : new Change(
                'short sleeves',
                new Sentence('Short sleeves: half as long'),
                new Sentence('another garment, for warmer days'),
                3,
                [],
                static fn (Laying $all): Laying => $all->changed($names, static fn (Piece $piece): array => [$all->scaled($piece, 0.5, 1)]),
            ),
            $this->off($laying, 'sleeveless', $names, new Sentence('No sleeves'), new Sentence('the armholes want binding'), 4),
        ];
    }

    /** @param list<string> $names */
    private function off(Laying $laying, string $key, array $names, Sentence $words, Sentence $costs, int $harm): ?Change
    {
        return [] === $names || \count($names) === \count($laying->pieces)
            ? null
            : new Change($key, $words, $costs, $harm, $names, static fn (Laying $all): Laying => $all->without($names));
    }

    /** @return list<string> */
    private static function facings(Laying $laying): array
    {
        return self::named(
            $laying,
            static fn (string $name): bool => (PartKind::Facings->isNamed($name) && 1 !== preg_match(self::HIDDEN, $name))
                || \in_array(Instead::Binding, $laying->pieces[$name]->instead, true),
        );
    }

    private static function unseen(): Sentence
    {
        return new Sentence('nobody sees it');
    }

    /**
     * @param \Closure(string): bool $which
     *
     * @return list<string>
     */
    private static function named(Laying $laying, \Closure $which): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($laying->pieces)), $which));
    }
}
