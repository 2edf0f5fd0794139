<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Piece\Piece;

/**
 * The cuts from which some pieces could come, the smallest first, so that remnants go before whole lengths: on each the pieces
 * are laid in a moment. Source: docs/rules.md.
 */
final readonly class Offers
{
    /** Cuts that are large enough and are tried before it is given up. */
    private const TRIED = 40;
    private const MOST = 6;

    public function __construct(private Assumptions $assumptions, private Block $block = new Block())
    {
    }

    /**
     * @param list<Piece>           $pieces   with a shape in the size
     * @param list<Cloth>           $cloths
     * @param array<string, Length> $promised to whom it is not asked for, by cut
     * @param ?Structure            $onlyFor  the only one that will do
     * @param ?NeedRequest          $wanted   for what they are laid: its matching and alterations count; null for the pieces alone
     *
     * @return list<ClothOffer>
     */
    public function find(
        array $pieces,
        string $size,
        array $cloths,
        array $promised = [],
        ?Structure $onlyFor = null,
        ?NeedRequest $wanted = null,
    ): array {
        [$area, $across] = $this->size($pieces, $size);
        $found = [];
        foreach (0.0 === $area ? [] : $this->candidates($cloths, $promised, $onlyFor, $area, $across) as [$cloth, $cut, $toCut, $free]) {
            $width = $toCut->width ?? throw new \LogicException('A candidate has a width.');
            $on = CuttingCloth::cut($cloth, $toCut);
            $surface = $wanted?->surface($on, $this->assumptions) ?? new LaySurface($width, $cloth->isOneWay());
            $laid = $this->block->quickly($pieces, $size, $surface);
            $need = null === $laid ? null : $wanted?->altered($laid) ?? $laid;
            if (null !== $need && !$free->isLessThan($need)) {
                $found[] = new ClothOffer($cloth, $cut, $free, $need, $width);
            }
            if (\count($found) >= self::MOST) {
                break;
            }
        }

        return $found;
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return array{float, float} mm² of all copies, and mm across of the widest
     */
    private function size(array $pieces, string $size): array
    {
        $area = $across = 0.0;
        foreach ($pieces as $piece) {
            $area += $piece->area($size);
            $across = max($across, $piece->across($size) ?? 0);
        }

        return [$area, $across];
    }

    /**
     * @param list<Cloth>           $cloths
     * @param array<string, Length> $promised
     *
     * @return list<array{Cloth, Cut, ToCut, Length}> wide and large enough, the smallest first
     */
    private function candidates(array $cloths, array $promised, ?Structure $onlyFor, float $area, float $across): array
    {
        $candidates = [];
        foreach ($cloths as $cloth) {
            if (null !== $onlyFor && $cloth->material->structure !== $onlyFor) {
                continue;
            }
            foreach ($cloth->cuts as $cut) {
                $toCut = ToCut::of($cloth, $cut, $this->assumptions);
                $free = $cut->gone ? null : $toCut->length?->minus($promised[$cut->id] ?? Length::zero());
                if (null === $free || null === $toCut->width || $toCut->width->millimetres() < $across) {
                    continue;
                }
                $holds = $free->millimetres() * $toCut->width->millimetres();
                if ($holds >= $area) {
                    $candidates[] = [$holds, [$cloth, $cut, $toCut, $free]];
                }
            }
        }
        usort($candidates, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column(\array_slice($candidates, 0, self::TRIED), 1);
    }
}
