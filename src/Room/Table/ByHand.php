<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Lay\FaultWords;
use Octavum\Core\Lay\Hand;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Document\Json\Faults;
use Octavum\Document\Json\Node;
use Octavum\Document\Json\Refused;

/** What lies on the mat by hand: the whole lay, or what is locked. */
final readonly class ByHand
{
    /**
     * @param array<mixed> $asked
     *
     * @return array{LayRequest, Lay}
     *
     * @throws Refused
     */
    public function lay(Setup $setup, array $asked): array
    {
        $fold = Fold::tryFrom(\is_string($asked['fold'] ?? null) ? $asked['fold'] : '') ?? Fold::Flat;
        $request =
            $setup->lay->request([$fold]) ?? throw Refused::because('There is nothing to lay: choose a garment with pieces, and a cloth.');
        try {
            return [$request, (new Hand())->lay($request, $fold, self::places($asked['places'] ?? null))];
        } catch (\InvalidArgumentException $unknown) {
            throw Refused::saying(strtr('This cannot be laid so: '.$unknown->getMessage().'.', $setup->lay->names()));
        }
    }

    /**
     * @param array<mixed> $asked
     *
     * @return list<Placement>
     *
     * @throws Refused
     */
    public function locked(Setup $setup, Fold $fold, array $asked): array
    {
        $places = self::places($asked['locked'] ?? null);
        $request = $setup->lay->request([$fold]);
        if ([] === $places || null === $request) {
            return [];
        }
        if (Fold::Part === $fold) {
            throw Refused::because(
                'Pieces cannot be locked where the cloth is part folded, part flat: unlock them, or choose another way of laying.',
            );
        }
        try {
            $lay = (new Hand())->lay($request, $fold, $places);
        } catch (\InvalidArgumentException $unknown) {
            throw Refused::saying(strtr('This cannot be laid so: '.$unknown->getMessage().'.', $setup->lay->names()));
        }
        $faults = array_values(
            array_filter((new Judge())->faults($request, $lay), static fn (Fault $fault): bool => FaultKind::Count !== $fault->kind),
        );
        if ([] !== $faults) {
            $said = (new FaultWords($setup->lay->names()))->say($faults[0]);
            throw Refused::saying('The locked pieces do not lie soundly: '.$said.'. Move them first.');
        }

        return $lay->placements;
    }

    /** @return list<array{piece: string, copy: int, sheet: string, turn: int, flipped: bool, x: float, y: float}> */
    private static function places(mixed $list): array
    {
        $faults = new Faults();
        $places = array_map(static function (Node $node): array {
            $number = static fn (Node $at): float => max(-1e6, min(1e6, (float) $at->number()));

            return [
                'piece' => $node->at('piece')->text(80),
                'copy' => $node->at('copy')->requiredInteger(1, 1000),
                'sheet' => $node->at('sheet')->text(10),
                'turn' => $node->at('turn')->requiredInteger(0, 359),
                'flipped' => $node->at('flipped')->boolean(),
                'x' => $number($node->at('x')),
                'y' => $number($node->at('y')),
            ];
        }, (new Node($list, $faults))->items(3000));
        $faults->refuse();

        return $places;
    }
}
