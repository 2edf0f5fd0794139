<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Reserve\Reservation;

/**
 * Draws strips: cloth to cut from as it lies on the table, the claims on it in rank order, and what is missing.
 * Longer than other files: whatever is drawn as a strip in any room has its pixels from here.
 */
final class StripBuilder
{
    private const TOOTH = 5.0;

    private int $drawn = 0;

    /**
     * @param list<Reservation> $promises
     * @param list<Reservation> $perhaps  what options that do not lead might take
     */
    public function cut(
        Cloth $cloth,
        Cut $cut,
        array $promises,
        Scale $scale,
        Assumptions $assumptions,
        System $system,
        array $perhaps = [],
    ): Strip {
        $byTable = array_filter(
            $promises,
            static fn (Reservation $promise): bool => !($promise->need instanceof Need) || NeedSource::LaidOut !== $promise->need->way,
        );

        $toCut = ToCut::of($cloth, $cut, $assumptions, laid: [] === $byTable);

        return $this->strip($cloth, $cut, $toCut, promises: $promises, own: null, scale: $scale, system: $system, perhaps: $perhaps);
    }

    /** A cut with what others have of it, and something that might lie on it behind them. */
    public function trying(
        Cloth $cloth,
        ToCut $toCut,
        Length $taken,
        string $name,
        Length $amount,
        Scale $scale,
        System $system,
    ): Strip {
        $height = null === $toCut->width ? $scale->across * 1.4 : max(6.0, $scale->y($toCut->width));
        $full = $scale->x($toCut->length ?? $taken->plus($amount));
        $length = min($full, $scale->room - 20);
        $marks = [];
        foreach ([['', Length::zero(), $taken], [$name, $taken, $amount]] as [$label, $from, $long]) {
            $x = min($scale->x($from), $length);
            $inside = max(0.0, min($scale->x($from->plus($long)), $length) - $x);
            $over = $full > $length ? 0.0 : max(0.0, $scale->x($from->plus($long)) - max($scale->x($from), $length));
            if ($long->micrometres > 0) {
                $missing = $over > 0 && '' !== $label ? $from->plus($long)->minus($toCut->length ?? $from) : null;
                $marks[] = new Mark(
                    $label,
                    $this->fit($label, $inside),
                    '' !== $label,
                    reach: new MarkReach($x, $inside, $over, $missing),
                );
            }
        }
        [$isWide, $isLong] = [null !== $toCut->width, null !== $toCut->length];

        return $this->assemble(
            $cloth,
            $length,
            $height,
            marks: $marks,
            scale: $scale,
            system: $system,
            widthKnown: $isWide,
            lengthKnown: $isLong,
            torn: $full > $length,
        );
    }

    /** @param list<Reservation> $perhaps what options that do not lead might take of its cut */
    public function role(RoleAnswer $role, string $project, Scale $scale, System $system, array $perhaps = []): ?Strip
    {
        if (null !== $role->claim->wish && null !== $role->amount()) {
            $mark = new Mark($project, '', true, reach: new MarkReach(0, 0, $scale->x($role->amount()), $role->amount()), toBuy: true);

            return $this->assemble(
                null,
                0,
                $scale->across * 1.4,
                marks: [$mark],
                scale: $scale,
                system: $system,
                widthKnown: true,
                lengthKnown: true,
                torn: false,
            );
        }
        if (null === $role->claim->cloth || null === $role->claim->cut || null === $role->toCut) {
            return null;
        }

        return $this->strip(
            $role->claim->cloth,
            $role->claim->cut,
            $role->toCut,
            promises: $role->promises,
            own: $role->claim->id,
            scale: $scale,
            system: $system,
            perhaps: $perhaps,
        );
    }

    /**
     * @param list<Reservation> $promises
     * @param list<Reservation> $perhaps
     */
    private function strip(
        Cloth $cloth,
        Cut $cut,
        ToCut $toCut,
        array $promises,
        ?string $own,
        Scale $scale,
        System $system,
        array $perhaps,
    ): Strip {
        $height = null === $toCut->width ? $scale->across * 1.4 : max(6.0, $scale->y($toCut->width));
        $full = $scale->x($toCut->length ?? Length::ofMetres('1'));
        $length = min($full, $scale->room - 20);
        $holes = '';
        foreach (null === $toCut->width || !$toCut->laid ? [] : $cut->bites as $bite) {
            [$left, $top] = [min($scale->x($bite->from), $length), min($scale->y($bite->below), $height)];
            $holes .= \sprintf(
                'M%.1f %.1fH%.1fV%.1fH%.1fZ',
                $left,
                $top,
                min($scale->x($bite->from->plus($bite->length)), $length),
                min($scale->y($bite->below->plus($bite->width)), $height),
                $left,
            );
        }
        $marks = $laid = [];
        $at = Length::zero();
        foreach (null === $toCut->length ? [] : $promises as $promise) {
            $x = $scale->x($at);
            $at = $at->plus($promise->amount);
            $inside = max(0.0, min($scale->x($at), $length) - $x);
            $over = $full > $length ? 0.0 : max(0.0, $scale->x($at) - max($x, $length));
            $missing = $at->minus($toCut->length ?? $at);
            if (null !== $promise->claim->lay) {
                $laid[$promise->claim->lay->id] ??= $x;
            }
            $marks[] = new Mark(
                $promise->project->name,
                $this->fit($promise->project->name, $inside),
                null === $own || $promise->claim->id === $own,
                reach: new MarkReach(min($x, $scale->room), $inside, $over, $over > 0 ? $missing->smaller($promise->amount) : null),
                pieces: $this->pieces($promise, $scale, $laid[$promise->claim->lay->id ?? ''] ?? $x),
            );
        }

        return $this->assemble(
            $cloth,
            $length,
            $height,
            marks: $marks,
            scale: $scale,
            system: $system,
            widthKnown: null !== $toCut->width,
            lengthKnown: null !== $toCut->length,
            torn: $full > $length,
            holes: $holes,
            perhaps: null === $toCut->length ? [] : $this->perhaps($promises, $perhaps, $scale),
        );
    }

    /**
     * Each begins where the promises end, but for those of the project itself, whose place it would take.
     *
     * @param list<Reservation> $promises
     * @param list<Reservation> $perhaps
     *
     * @return list<PerhapsMark>
     */
    private function perhaps(array $promises, array $perhaps, Scale $scale): array
    {
        $marks = [];
        foreach ($perhaps as $might) {
            $others = array_values(array_filter(
                $promises,
                static fn (Reservation $promise): bool => $promise->project->id !== $might->project->id,
            ));
            if ($might->amount->micrometres > 0) {
                $from = min($scale->x(Reservation::total($others)), $scale->room);
                $marks[] = new PerhapsMark($from, min($scale->x($might->amount), $scale->room - $from), $might);
            }
        }

        return $marks;
    }

    /** The claim of a saved lay is an area: its pieces where they lie. */
    private function pieces(Reservation $promise, Scale $scale, float $from): string
    {
        $claim = $promise->claim;
        $lay = $claim->lay;
        $garment = $lay?->garmentOf($promise->project->id, $claim->role, $promise->project->largestSize(), $claim->pieces);
        if (null === $lay || null === $garment || !($promise->need instanceof Need) || NeedSource::LaidOut !== $promise->need->way) {
            return '';
        }
        $path = '';
        foreach ($lay->sheets as $sheet) {
            foreach ($sheet->cut?->id === $claim->cut?->id ? $lay->unfolded($garment, $sheet) : [] as $outline) {
                $path
                    .= 'M'
                    .implode(
                        'L',
                        array_map(
                            static fn (array $p): string => \sprintf(
                                '%.1f %.1f',
                                $from + ($p[0] / 1000) * $scale->along,
                                ($p[1] / 1000) * $scale->across,
                            ),
                            $outline->points,
                        ),
                    )
                    .'Z';
            }
        }

        return $path;
    }

    /**
     * @param list<Mark>        $marks
     * @param list<PerhapsMark> $perhaps
     */
    private function assemble(
        ?Cloth $cloth,
        float $length,
        float $height,
        array $marks,
        Scale $scale,
        System $system,
        bool $widthKnown,
        bool $lengthKnown,
        bool $torn,
        string $holes = '',
        array $perhaps = [],
    ): Strip {
        $end = $length;
        foreach ($marks as $mark) {
            $end = max($end, $mark->reach->x + $mark->reach->inside + $mark->reach->over);
        }
        foreach ($perhaps as $mark) {
            $end = max($end, $mark->x + $mark->length);
        }

        return new Strip(
            's'.++$this->drawn,
            $cloth,
            max($scale->room, round($end, 1)) + 64,
            shape: new StripShape(
                $length,
                round($height, 1),
                null === $cloth ? '' : $this->edge($length, $height, $widthKnown, $torn),
                holes: $holes,
                widthKnown: $widthKnown,
                lengthKnown: $lengthKnown,
                torn: $torn,
            ),
            marks: $marks,
            tape: $this->tape($end, $scale, $system),
            large: $scale->across >= 40,
            perhaps: $perhaps,
        );
    }

    /** The cut end is pinked, or torn in two long teeth where the cloth goes on; an unknown width waves. */
    private function edge(float $length, float $height, bool $widthKnown, bool $torn): string
    {
        $path = 'M0 0H'.$length;
        $tooth = $torn ? max(self::TOOTH, $height / 2) : self::TOOTH;
        $depth = $torn ? 7 : 2.5;
        for ($y = 0.0; $y < $height; $y += $tooth) {
            $path .= \sprintf('L%.1f %.1f', max(0, $length - $depth), min($y + $tooth / 2, $height));
            $path .= \sprintf('L%.1f %.1f', $length, min($y + $tooth, $height));
        }
        if (!$widthKnown) {
            for ($x = $length; $x > 0; $x -= 8) {
                $path .= \sprintf(
                    'Q%.1f %.1f %.1f %.1f',
                    max(0, $x - 4),
                    $height + (0 === (int) (($length - $x) / 8) % 2 ? 5 : -5),
                    max(0, $x - 8),
                    $height,
                );
            }
        }

        return $path.'L0 '.$height.'Z';
    }

    /** Ticks every 10 cm, or every eighth of a yard, with the whole metres or yards named. */
    private function tape(float $end, Scale $scale, System $system): TapeMeasure
    {
        [$whole, $parts, $symbol] = System::Metric === $system ? [Unit::Metre, 10, 'm'] : [Unit::Yard, 8, 'yd'];
        $unit = ($scale->along * $whole->value) / Unit::Metre->value;
        $ticks = '';
        for ($i = 0; $i < $parts; ++$i) {
            $ticks .= \sprintf(
                'M%.1f 0v%d',
                0.5 + ($i * $unit) / $parts,
                match ($i) {
                    0 => 8,
                    intdiv($parts, 2) => 5,
                    default => 3,
                },
            );
        }
        $names = [];
        for ($i = 1; $i * $unit <= $end + 1; ++$i) {
            $names[] = ['x' => round($i * $unit + 3, 1), 'name' => $i.' '.$symbol];
        }

        return new TapeMeasure(round($unit, 3), $ticks, round($end + 1, 1), $names);
    }

    private function fit(string $name, float $room): string
    {
        $letters = (int) (($room - 24) / 6.6);

        return match (true) {
            mb_strlen($name) <= $letters => $name,
            $letters < 5 => '',
            default => rtrim(mb_substr($name, 0, $letters - 1)).'…',
        };
    }
}
