<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Strip\Scale;
use Octavum\Strip\StripBuilder;

/**
 * Hangs versions from a cloth. The best of each group are named; of hundreds the others stay dots, so that the picture can be read.
 * A name goes below every stem that would cross it.
 */
final readonly class RollDrawing
{
    /** How many are named of each group. */
    private const NAMED = ['made for it' => 7, 'possible' => 4, 'not known' => 7, 'short' => 3];

    /** Between two names, and from the tape to the first. */
    private const STEP = 20;
    private const FROM = 34;
    private const DOT = 6;

    /** Pixels of a letter, and of the dot before the first. */
    private const LETTER = 7.1;
    private const BEFORE = 24;

    /** Letters of ", 16 cm short". */
    private const MISSING = 14;

    public function __construct(private StripBuilder $strips)
    {
    }

    /**
     * @param list<Proposal>    $proposals
     * @param list<Reservation> $promises  of the cut to others
     */
    public function draw(
        Cloth $cloth,
        Cut $cut,
        array $promises,
        array $proposals,
        Length $longest,
        Assumptions $assumptions,
        System $system,
    ): Roll {
        $scale = Scale::roll($longest);
        $strip = $this->strips->cut($cloth, $cut, $promises, scale: $scale, assumptions: $assumptions, system: $system);
        $taken = Reservation::total($promises);
        $named = $dots = [];
        $left = self::NAMED;
        foreach ($proposals as $proposal) {
            $amount = $proposal->fit?->amount();
            if (null === $amount || !$proposal->group->mayBe()) {
                continue;
            }
            $x = $scale->x($taken->plus($amount));
            if ($x > $scale->room + 40) {
                continue;
            }
            if (($left[$proposal->group->value] ?? 0) > 0) {
                --$left[$proposal->group->value];
                $named[] = [$x, $proposal];
            } else {
                $dots[] = [$x, $proposal];
            }
        }
        $stems = $this->stems($named, $strip->shape->height);
        $deepest = max([$strip->shape->height + 22, ...array_map(static fn (Stem $stem): float => $stem->y + 10, $stems)]);
        $hung = $this->dots($dots, $deepest);

        return new Roll(
            $strip,
            $stems,
            $hung,
            max([$strip->room, ...array_map($this->end(...), $stems)]),
            max([$deepest, ...array_map(static fn (Stem $dot): float => $dot->y + 8, $hung)]),
        );
    }

    /**
     * @param list<array{float, Proposal}> $named
     *
     * @return list<Stem>
     */
    private function stems(array $named, float $top): array
    {
        usort($named, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $stems = $placed = [];
        foreach ($named as [$x, $proposal]) {
            $stem = $this->stem($x, 0, $proposal);
            $end = $this->end($stem);
            $level = 0;
            foreach ($placed as [$other, $its]) {
                $level = $other < $end ? max($level, $its + 1) : $level;
            }
            $placed[] = [$x, $level];
            $stems[] = $this->stem($x, $top + self::FROM + self::STEP * $level, $proposal);
        }

        return $stems;
    }

    /** Where its name ends. */
    private function end(Stem $stem): float
    {
        return $stem->x + self::BEFORE + self::LETTER * (mb_strlen($stem->name) + (null === $stem->missing ? 0 : self::MISSING));
    }

    /**
     * Those at one place stand below one another.
     *
     * @param list<array{float, Proposal}> $dots
     *
     * @return list<Stem>
     */
    private function dots(array $dots, float $from): array
    {
        $at = $hung = [];
        foreach ($dots as [$x, $proposal]) {
            $column = (int) round($x / self::DOT);
            $at[$column] = ($at[$column] ?? 0) + 1;
            $hung[] = $this->stem($column * self::DOT, $from + self::DOT * $at[$column], $proposal);
        }

        return $hung;
    }

    private function stem(float $x, float $y, Proposal $proposal): Stem
    {
        $making = $proposal->making;
        $name = 1 === \count($making->pattern->versions) ? $making->pattern->title : $making->pattern->title.', '.$making->version->name;

        return new Stem(
            $proposal,
            $x,
            $y,
            name: mb_strlen($name) > 30 ? mb_substr($name, 0, 29).'…' : $name,
            doubt: Group::MadeForIt !== $proposal->group || !$proposal->judgement->isClear(),
            missing: Group::Short === $proposal->group ? $proposal->fit?->missing() : null,
        );
    }
}
