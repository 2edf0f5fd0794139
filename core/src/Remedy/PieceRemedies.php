<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\PartKind;

/** What may be done about the pieces of a garment when cloth is short, least harm first. Source: docs/rules.md. */
final readonly class PieceRemedies
{
    /** Pieces that nobody sees, by name. */
    private const HIDDEN =
        '/\b(under ?collar|inner (yoke|collar|waistband)|(yoke|waistband) (facing|lining)|inside|pocket (bag|facing)s?|pocketing)\b/iu';

    public Reshaping $reshaping;

    /** @param bool $real the pieces are the version's own; of a generic block nobody knows which of its pieces the garment has */
    public function __construct(private Laying $laying, private bool $real)
    {
        $this->reshaping = new Reshaping($laying);
    }

    /** @return list<Change> those that change something, but for what has a measure of its own: shorter, and less full */
    public function all(): array
    {
        return array_values(array_filter(!$this->real ? [$this->reshaping->narrow()] : [
            $this->binding(),
            $this->hidden(),
            $this->reshaping->turned(),
            $this->reshaping->narrow(),
            ...$this->reshaping->seams(),
            ...$this->reshaping->folds(),
            ...$this->contrast(),
            $this->pocketless(),
            $this->reshaping->shortSleeves(),
            $this->sleeveless(),
            $this->reshaping->smaller(),
        ]));
    }

    private function binding(): ?Change
    {
        $names = $this->laying->named(
            fn (string $name): bool => (PartKind::Facings->isNamed($name) && 1 !== preg_match(self::HIDDEN, $name))
                || $this->laying->lets($name, Instead::Binding),
        );

        return $this->off('binding', $names, new Sentence('Facings replaced by bias binding'), new Sentence('nobody sees it'), 0);
    }

    private function hidden(): ?Change
    {
        $names = $this->laying->named(
            fn (string $name): bool => 1 === preg_match(self::HIDDEN, $name) || $this->laying->lets($name, Instead::OtherCloth),
        );

        return $this->off('hidden', $names, new Sentence('{pieces} from other cloth', [
            'pieces' => implode(', ', $names),
        ]), new Sentence('nobody sees it'), 0);
    }

    /** @return list<?Change> */
    private function contrast(): array
    {
        $parts = [];
        foreach ([PartKind::Collar, PartKind::Cuffs, PartKind::Waistband, PartKind::Hood, PartKind::Sleeves] as $kind) {
            $parts[$kind->value] = $this->laying->named(
                static fn (string $name): bool => $kind->isNamed($name) && 1 !== preg_match(self::HIDDEN, $name),
            );
        }
        $parts['yoke'] = $this->laying->named(static fn (string $name): bool => 1 === preg_match('/\byoke\b/i', $name));
        $changes = [];
        foreach ($parts as $part => $names) {
            $changes[] = $this->off(
                'contrast:'.$part,
                $names,
                new Sentence('{part} from a cloth of another colour', ['part' => implode(', ', $names)]),
                new Sentence('it shows: choose one that goes with it'),
                2,
            );
        }

        return $changes;
    }

    private function pocketless(): ?Change
    {
        $names = $this->laying->named(
            fn (string $name): bool => $this->laying->lets($name, Instead::Omitted)
                || (PartKind::Pockets->isNamed($name) && 1 !== preg_match(self::HIDDEN, $name)),
        );

        return $this->off('left out', $names, new Sentence('{pieces} left out', [
            'pieces' => implode(', ', $names),
        ]), new Sentence('they will be missed'), 3);
    }

    private function sleeveless(): ?Change
    {
        $names = $this->laying->named(PartKind::Sleeves->isNamed(...));

        return $this->off('sleeveless', $names, new Sentence('No sleeves'), new Sentence('the armholes want binding'), 4);
    }

    /** @param list<string> $names */
    private function off(string $key, array $names, Sentence $words, Sentence $costs, int $harm): ?Change
    {
        return [] === $names || \count($names) === \count($this->laying->pieces) ? null : new Change($key, $words, $costs, $harm, $names);
    }
}
