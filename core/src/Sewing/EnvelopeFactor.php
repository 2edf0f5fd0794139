<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

/** What was really used of cloth, over what the envelopes asked for: of a pattern, of a maker. Source: docs/rules.md. */
final readonly class EnvelopeFactor
{
    /**
     * @param int $percent used, of what was asked; the median
     * @param int $cuts    that were compared
     */
    private function __construct(public int $percent, public int $cuts)
    {
    }

    /** @param list<array{int, int}> $cuts used and asked of each, in one unit; null when nothing was compared yet */
    public static function of(array $cuts): ?self
    {
        $ratios = array_map(static fn (array $cut): float => $cut[0] / max(1, $cut[1]), $cuts);
        sort($ratios);
        $count = \count($ratios);

        return 0 === $count
            ? null
            : new self((int) round(50 * ($ratios[intdiv($count - 1, 2)] + $ratios[intdiv($count, 2)])), $count);
    }
}
