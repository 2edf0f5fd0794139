<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Shape\Inside;
use Octavum\Core\Shape\Outline;

/**
 * The figures of a large print on cloth that lies flat, right side up: in straight rows, where the middle of one of them is, and
 * which pieces are laid to them.
 */
final readonly class Figures
{
    /**
     * @param Length                        $x      of the middle of one, from the squared end
     * @param Length                        $y      of the same, from the upper edge without its selvage
     * @param Length                        $along  from one to the next along the cloth
     * @param Length                        $across likewise across it
     * @param Length                        $size   of one, across its widest
     * @param array<string, PiecePlacement> $pieces by name, as in a lay
     */
    public function __construct(
        public Length $x,
        public Length $y,
        public Length $along,
        public Length $across,
        public Length $size,
        public array $pieces = [],
    ) {
    }

    /**
     * Where on the cloth a piece may lie.
     *
     * @param Outline $flat opened at its fold
     *
     * @return Repeat|Sentence or why it cannot be laid so
     */
    public function repeat(string $piece, Outline $flat, PiecePlacement $asked): Repeat|Sentence
    {
        $down = null === $asked->down ? $flat->length() / 2 : (float) $asked->down->millimetres();
        $middle = ($flat->bottom + $flat->top) / 2;
        if ($down > $flat->length()) {
            return new Sentence('{piece} is {length} long: {down} below its top is off the piece.', [
                'piece' => $piece,
                'length' => Figure::exact(Length::ofMillimetres(round($flat->length(), 1))),
                'down' => Figure::exact(Length::ofMillimetres($down)),
            ]);
        }

        return match ($asked->seat) {
            PrintPlacement::Middle => $this->at($flat->left + $down, $middle),
            PrintPlacement::Clear => $this->clear($piece, $flat->left + $down, $middle, (float) ($asked->apart?->millimetres() ?? 0)),
            PrintPlacement::Whole => $this->whole($piece, $flat),
        };
    }

    private function at(float $x, float $y): Repeat
    {
        return new Repeat(
            (float) $this->along->millimetres(),
            (float) $this->across->millimetres(),
            $x,
            $y,
            [(float) $this->x->millimetres(), (float) $this->y->millimetres()],
        );
    }

    /**
     * Two points half a repeat from the nearest row along the cloth, where across them there is a figure between or none: the
     * one that keeps them farther off.
     */
    private function clear(string $piece, float $x, float $y, float $apart): Repeat|Sentence
    {
        [$along, $across] = [(float) $this->along->millimetres(), (float) $this->across->millimetres()];
        $off = static fn (float $from): float => abs($from - $across * round($from / $across));
        $beside = max($off($apart / 2), $off($apart / 2 + $across / 2));
        $clear = hypot($along / 2, $beside);
        if ($clear < $this->size->millimetres() / 2) {
            return new Sentence('Between figures of {size} the points of {piece} come no farther than {clear} from the middle of one.', [
                'size' => Figure::exact($this->size),
                'piece' => $piece,
                'clear' => Figure::owned(Length::ofMillimetres(floor($clear))),
            ]);
        }
        if ($along / 2 >= $this->size->millimetres() / 2) {
            // between two rows they are clear of both, wherever they lie across
            return new Repeat($along, 0, $x + $along / 2, 0, [(float) $this->x->millimetres(), 0.0]);
        }

        return $this->at($x + $along / 2, $off($apart / 2) >= $beside ? $y : $y + $across / 2);
    }

    private function whole(string $piece, Outline $flat): Repeat|Sentence
    {
        [$x, $y, $room] = (new Inside())->roomiest($flat);
        if (2 * $room < $this->size->millimetres()) {
            return new Sentence('{piece} holds no whole figure of {size}: what goes into it is at most {room}.', [
                'piece' => $piece,
                'size' => Figure::exact($this->size),
                'room' => Figure::owned(Length::ofMillimetres(floor(2 * $room))),
            ]);
        }

        return $this->at($x, $y);
    }
}
