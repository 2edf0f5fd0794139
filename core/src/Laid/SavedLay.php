<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Lay\OffcutFinder;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Shape\Outline;

/** Pieces laid and kept. It is a project's need as long as cloth, size and pieces are those it was made with. */
final readonly class SavedLay
{
    /**
     * @param list<LaidSheet>   $sheets
     * @param list<LaidGarment> $garments
     * @param list<LaidPiece>   $pieces
     * @param bool              $sound       the judge found nothing wrong, and every piece is there
     * @param float             $utilisation share of the cloth used that is in pieces
     * @param LayRules          $rules       how it was laid
     */
    public function __construct(
        public string $id,
        public string $name,
        public Fold $fold,
        public array $sheets,
        public array $garments,
        public array $pieces,
        public bool $sound,
        public float $utilisation,
        public LayRules $rules = new LayRules(),
    ) {
    }

    /** The same, which counts for nothing until it is judged. */
    public function unjudged(): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->fold,
            sheets: $this->sheets,
            garments: $this->garments,
            pieces: $this->pieces,
            sound: false,
            utilisation: $this->utilisation,
            rules: $this->rules,
        );
    }

    /**
     * Without the ids of projects and versions that are none of these; the names stay.
     *
     * @param list<string> $projects
     * @param list<string> $versions
     */
    public function withKnown(array $projects, array $versions): self
    {
        $garments = array_map(static fn (LaidGarment $garment): LaidGarment => new LaidGarment(
            $garment->name,
            \in_array($garment->project, $projects, true) ? $garment->project : null,
            \in_array($garment->version, $versions, true) ? $garment->version : null,
            role: $garment->role,
            size: $garment->size,
            mark: $garment->mark,
            pieces: $garment->pieces,
        ), $this->garments);

        return new self(
            $this->id,
            $this->name,
            $this->fold,
            sheets: $this->sheets,
            garments: $garments,
            pieces: $this->pieces,
            sound: $this->sound,
            utilisation: $this->utilisation,
            rules: $this->rules,
        );
    }

    /**
     * The place of a project's role, or of some of its pieces, in the list of what was laid.
     *
     * @param list<string> $pieces
     */
    public function garmentOf(string $project, Role $role, string $size, array $pieces = []): ?int
    {
        $found = null;
        foreach ($this->garments as $i => $garment) {
            if ($garment->project === $project && $garment->role === $role && $garment->pieces === $pieces) {
                // of several sewn together, the one of this size
                if ($garment->size === $size) {
                    return $i;
                }
                $found ??= $i;
            }
        }

        return $found;
    }

    /** Why it says nothing of a project's role any more; null while it holds. */
    public function stale(LayRequirement $asked, Assumptions $assumptions): ?Sentence
    {
        $at = $this->garmentOf($asked->project, $asked->role, $asked->size, $asked->pieces);
        $garment = null === $at ? null : $this->garments[$at];
        if (null === $garment && \in_array($asked->project, array_column($this->garments, 'project'), true)) {
            return new Sentence('other pieces come from this cloth now');
        }
        if (null === $garment || !$this->sound) {
            return new Sentence('a piece of it is missing, or lies where it cannot');
        }
        if ($garment->size !== $asked->size) {
            $shown = static fn (string $size): string => '' === $size ? '–' : $size;

            return new Sentence('it was laid in size {old}, and the size is {new} now', [
                'old' => $shown($garment->size),
                'new' => $shown($asked->size),
            ]);
        }
        if ($garment->version !== $asked->version?->id) {
            return new Sentence('it was laid from another version');
        }
        if ('' === $garment->mark) {
            return new Sentence('it is of generic pieces, which can only guess');
        }
        if (null === $asked->version || !self::isOf($asked->version->pieces, $garment, $this->without($at))) {
            return new Sentence('the pieces have been changed since');
        }
        if (null !== $asked->repeat && !$this->rules->match) {
            return new Sentence('it was laid without matching the repeat of {repeat}', ['repeat' => Figure::exact($asked->repeat)]);
        }

        return null !== $asked->boughtOneWay ? $this->rollStale($asked) : $this->cutsStale($asked, $assumptions);
    }

    /**
     * Whether they are still the pieces that were laid; those left off may have gone to other cloth since.
     *
     * @param list<string> $off
     */
    private static function isOf(PieceSet $pieces, LaidGarment $garment, array $off): bool
    {
        return $garment->mark === $pieces->mark($garment->size)
            || ([] !== $off && $garment->mark === $pieces->mark($garment->size, $off));
    }

    /** Whether what was laid for a project's role are the pieces of a generic block: a guess, never a need. */
    public function isGeneric(LayRequirement $asked): bool
    {
        $at = $this->garmentOf($asked->project, $asked->role, $asked->size, $asked->pieces);

        return null !== $at && '' === $this->garments[$at]->mark;
    }

    private function rollStale(LayRequirement $asked): ?Sentence
    {
        if ([] === array_filter($this->sheets, static fn (LaidSheet $sheet): bool => $sheet->isRoll())) {
            return new Sentence('it was laid on a cut, and the cloth is to be bought now');
        }

        return true === $asked->boughtOneWay && !$this->rules->oneWay
            ? new Sentence('it was laid both ways, and the cloth is one-way')
            : null;
    }

    private function cutsStale(LayRequirement $asked, Assumptions $assumptions): ?Sentence
    {
        $own = false;
        foreach ($this->sheets as $sheet) {
            if (null === $sheet->cut || null === $sheet->cloth) {
                return new Sentence('it was laid on a cut that is no longer there');
            }
            $own = $own || $sheet->cut->id === $asked->cut?->id;
            if ($sheet->cloth->isOneWay() && !$this->rules->oneWay) {
                return new Sentence('it was laid both ways, and {cloth} is one-way', ['cloth' => $sheet->cloth->name]);
            }
            if ($sheet->mark !== LaidSheet::markOf($sheet->cloth, $sheet->cut, $this->rules->followsPrint())) {
                return new Sentence('what is missing from {cloth}, or its repeat, is not what it was laid round', [
                    'cloth' => $sheet->cloth->name,
                ]);
            }
            $width = ToCut::of($sheet->cloth, $sheet->cut, $assumptions, laid: true)->width;
            if (null === $width || $width->plus(Length::ofMillimetres(1))->isLessThan($sheet->width)) {
                return new Sentence('it was laid at a usable width of {old}, and {cloth} has {new} now', [
                    'old' => Figure::width($sheet->width),
                    'cloth' => $sheet->cloth->name,
                    'new' => Figure::width($width ?? Length::zero()),
                ]);
            }
        }

        return $own ? null : new Sentence('it was laid on another cut');
    }

    /** Millimetres of a sheet that its pieces reach. */
    public function end(int $sheet): float
    {
        $ends = array_map(static fn (LaidPiece $piece): float => $piece->sheet === $sheet ? $piece->outline->right : 0.0, $this->pieces);

        return max([0.0, ...$ends]) * (Fold::Crosswise === $this->fold ? 2 : 1);
    }

    /** @return list<LaidSheet> on which a garment has pieces */
    public function sheetsOf(int $garment): array
    {
        $sheets = [];
        foreach ($this->pieces as $piece) {
            if ($piece->garment === $garment) {
                $sheets[$piece->sheet] = $this->sheets[$piece->sheet];
            }
        }
        ksort($sheets);

        return array_values($sheets);
    }

    /**
     * Where a garment's pieces lie on a sheet once the cloth is unfolded.
     *
     * @return list<Outline> x along the cloth, y across it from one selvage
     */
    public function unfolded(int $garment, LaidSheet $sheet): array
    {
        $at = (int) array_search($sheet, $this->sheets, true);
        $width = (float) $sheet->width->millimetres();
        $outlines = [];
        foreach ($this->pieces as $piece) {
            if ($piece->sheet !== $at || $piece->garment !== $garment) {
                continue;
            }
            $outline = $piece->outline;
            array_push(
                $outlines,
                ...match (true) {
                    1 === $piece->layers => [$outline],
                    Fold::Crosswise === $this->fold => [
                        $outline,
                        $outline->turned(180)->flipped()->moved((float) ($sheet->length?->millimetres() ?? 2 * $outline->right), 0),
                    ],
                    Fold::Gate === $this->fold && $outline->top > $width / 4 + 1 => [
                        $outline->moved(0, $width / 4),
                        $outline->flipped()->moved(0, (5 * $width) / 4),
                    ],
                    Fold::Gate === $this->fold => [$outline->moved(0, $width / 4), $outline->flipped()->moved(0, $width / 4)],
                    default => [$outline->moved(0, $width / 2), $outline->flipped()->moved(0, $width / 2)],
                },
            );
        }

        return $outlines;
    }

    /**
     * What is left beside a garment's pieces in the length that is cut off for them, to the centimetre; nothing is said where
     * others are cut from the same length.
     *
     * @return list<array{Length, Length}> length and width of each, the largest first
     */
    public function remnants(int $garment, LaidSheet $sheet): array
    {
        $at = (int) array_search($sheet, $this->sheets, true);
        foreach ($this->pieces as $piece) {
            if ($piece->sheet === $at && $piece->garment !== $garment) {
                return [];
            }
        }
        $rests = (new OffcutFinder())->find(
            $this->unfolded($garment, $sheet),
            (float) $sheet->width->millimetres(),
            (float) $sheet->used->millimetres(),
        );
        $whole = static fn (float $millimetres): Length => Length::ofMillimetres(10 * (int) floor($millimetres / 10));

        return array_map(static fn (array $rest): array => [$whole($rest['length']), $whole($rest['width'])], $rests);
    }

    /**
     * What a garment takes of a sheet: the length used is shared out by area, the last to come bearing what is left over.
     * What lies there for no project counts with the first that is one.
     */
    public function laidOut(int $garment, LaidSheet $sheet): LaidOut
    {
        $at = (int) array_search($sheet, $this->sheets, true);
        $areas = $there = [];
        $first = null;
        foreach ($this->pieces as $piece) {
            if ($piece->sheet === $at) {
                $there[$piece->garment] = true;
                $first = null !== $this->garments[$piece->garment]->project ? min($first ?? $piece->garment, $piece->garment) : $first;
            }
        }
        foreach ($this->pieces as $piece) {
            if ($piece->sheet === $at) {
                $bears = null === $this->garments[$piece->garment]->project ? $first ?? $piece->garment : $piece->garment;
                $areas[$bears] = ($areas[$bears] ?? 0) + (int) ceil($piece->area());
            }
        }
        ksort($areas);
        $all = max(1, array_sum($areas));
        $left = $sheet->used;
        $share = Length::zero();
        foreach ($areas as $other => $area) {
            $part = $other === array_key_last($areas) ? $left : $sheet->used->scaled($area, $all, Rounding::Down);
            $left = $left->minus($part);
            $share = $other === $garment ? $part : $share;
        }
        $others = array_values(
            array_unique(
                array_map(
                    fn (int $i): string => $this->garments[$i]->name,
                    array_filter(array_keys($there), static fn (int $i): bool => $i !== $garment),
                ),
            ),
        );

        return new LaidOut(
            $this->name,
            $this->fold,
            $sheet->used,
            share: $share,
            others: $others,
            utilisation: (int) round(100 * $this->utilisation),
            without: $this->without($garment),
        );
    }

    /** @return list<string> pieces of a garment that come from elsewhere, by name */
    public function without(int $garment): array
    {
        $own = $garment.'/';

        return array_map(
            static fn (string $piece): string => substr($piece, \strlen($own)),
            array_values(array_filter($this->rules->off, static fn (string $piece): bool => str_starts_with($piece, $own))),
        );
    }
}
