<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;

/** How pieces are to be laid. Pieces are named as in a lay: garment and name, "0/Front". */
final readonly class LayRules
{
    /** Figures closer than this are no large ones, mm: a starting value of the house. */
    private const CLOSE = 30;

    /**
     * @param bool         $oneWay    the top of every piece points the same way
     * @param float        $gap       between pieces, mm
     * @param ?Length      $allowance instead of the one that is added to a piece
     * @param bool         $match     the repeat of the first cloth that has one, at the lower end of each main piece
     * @param list<string> $off       pieces that come from other cloth
     * @param list<string> $eased     those whose tops may point either way on one-way cloth
     * @param bool         $across    every piece lies across the cloth that would lie along it, and the reverse
     * @param list<string> $edged     those whose lower end lies at the upper edge of the cloth: at a border, or at a finished edge
     * @param ?Length      $edge      how far from that edge; null at it
     * @param ?Figures     $figures   of the print, to which pieces are laid
     * @param string       $word      why pieces are eased
     */
    public function __construct(
        public bool $oneWay = false,
        public float $gap = 0,
        public ?Length $allowance = null,
        public bool $match = false,
        public array $off = [],
        public array $eased = [],
        public bool $across = false,
        public array $edged = [],
        public ?Length $edge = null,
        public ?Figures $figures = null,
        public string $word = '',
    ) {
    }

    /** The same with the top of every piece pointing the same way. */
    public function sameWayUp(): self
    {
        return new self(
            true,
            $this->gap,
            $this->allowance,
            match: $this->match,
            off: $this->off,
            eased: $this->eased,
            across: $this->across,
            edged: $this->edged,
            edge: $this->edge,
            figures: $this->figures,
            word: $this->word,
        );
    }

    /** Whether what is laid depends on where the print repeats. */
    public function followsPrint(): bool
    {
        return $this->match || null !== $this->figures;
    }

    /** Whether every top points the same way: what is matched to a piece with a figure is only what does. */
    public function isSameWayUp(): bool
    {
        return $this->oneWay || ($this->match && [] !== ($this->figures->pieces ?? []));
    }

    public function grain(Piece $piece): Grain
    {
        return $this->across ? $piece->grain->crossed() : $piece->grain;
    }

    /** @return list<Sentence> what cannot be asked for together, on so many cuts */
    public function impossible(int $cuts): array
    {
        $refused = [];
        if ($this->across || [] !== $this->edged) {
            if ($this->oneWay) {
                $refused[] = new Sentence(
                    $this->across
                        ? 'The whole garment cannot lie across this cloth: it is one-way, and its figures would lie on their side.'
                        : 'What has its hem at the edge lies across: this cloth is one-way, and its figures would lie on their side.',
                );
            }
            if ($this->match) {
                $refused[] = new Sentence('What lies across the cloth cannot be matched to its repeat: choose one of the two.');
            }
        }
        if (null !== $this->figures && 1 !== $cuts) {
            $refused[] = new Sentence('Where the figures lie is measured on one cut: lay on that one alone.');
        }
        $close = null === $this->figures ? null : $this->figures->along->smaller($this->figures->across);
        if ($close?->isLessThan(Length::ofMillimetres(self::CLOSE)) ?? false) {
            $refused[] = new Sentence('Figures {length} from one to the next are too close to lay pieces to: from {least} on it is done.', [
                'length' => Figure::exact($close),
                'least' => Figure::exact(Length::ofMillimetres(self::CLOSE)),
            ]);
        }
        foreach (array_intersect(array_keys($this->figures->pieces ?? []), $this->edged) as $both) {
            $refused[] = new Sentence('{piece} cannot lie both at the edge and to the figures: choose one of the two.', [
                'piece' => substr($both, 1 + (int) strpos($both, '/')),
            ]);
        }

        return $refused;
    }
}
