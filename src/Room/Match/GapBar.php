<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** What is missing, enlarged, and filled by what is done about it; in pixels. */
final readonly class GapBar
{
    private const ROOM = 820;

    /** Pixels a centimetre: one step of the bar. */
    public float $step;

    public float $gap;

    /** @var list<array{x: float, width: float, words: Sentence, saves: Length}> */
    public array $parts;

    public ?Length $over;

    public ?Length $missing;

    /** @param list<array{Sentence, Length}> $filled what each does besides those before it */
    public function __construct(public Length $short, array $filled)
    {
        $sum = array_reduce($filled, static fn (Length $all, array $one): Length => $all->plus($one[1]), Length::zero());
        $this->step = min(24.0, self::ROOM / max(1.0, $sum->larger($short)->micrometres / 10_000));
        $this->gap = round($this->px($short), 1);
        $parts = [];
        $at = Length::zero();
        foreach ($filled as [$words, $saves]) {
            if ($saves->micrometres > 0) {
                $parts[] = ['x' => round($this->px($at), 1), 'width' => round($this->px($saves), 1), 'words' => $words, 'saves' => $saves];
                $at = $at->plus($saves);
            }
        }
        $this->parts = $parts;
        $this->over = $sum->isLessThan($short) ? null : $sum->minus($short);
        $this->missing = $sum->isLessThan($short) ? $short->minus($sum) : null;
    }

    private function px(Length $length): float
    {
        return $length->micrometres / 10_000 * $this->step;
    }
}
