<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Project\Decision;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Which options of a project were taken, and why. */
final readonly class DecisionCodec
{
    /** @return list<Decision> */
    public function read(Node $list): array
    {
        $decisions = [];
        foreach ($list->items() as $node) {
            $node->object(['on', 'took', 'instead', 'reason']);
            $on = $node->at('on')->date();
            if (null === $on && !$node->at('on')->isThere()) {
                $node->at('on')->fault('The day of this decision is missing.');
            }
            $decision = new Decision(
                $on ?? new \DateTimeImmutable('@0'),
                $node->at('took')->text(200),
                $node->at('instead')->text(200),
                $node->at('reason')->text(500),
            );
            $decisions = null === $on ? $decisions : [...$decisions, $decision];
        }

        return $decisions;
    }

    /**
     * @param list<Decision> $decisions
     *
     * @return list<array<string, mixed>>
     */
    public function write(array $decisions): array
    {
        return array_map(
            static fn (Decision $decision): array => Fields::known([
                'on' => $decision->on->format('Y-m-d'),
                'took' => $decision->took,
                'instead' => $decision->instead,
                'reason' => $decision->reason,
            ]),
            $decisions,
        );
    }
}
