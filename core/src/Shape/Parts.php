<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * The convex parts of an outline, worked out once and only when they are asked for; a turned, flipped or moved outline takes
 * those of the one it came from along.
 *
 * @internal
 */
final class Parts
{
    /** @var ?non-empty-list<list<array{float, float}>> */
    private ?array $parts = null;

    /** @param \Closure(): non-empty-list<list<array{float, float}>> $find counter-clockwise */
    public function __construct(private readonly \Closure $find)
    {
    }

    /** @return non-empty-list<list<array{float, float}>> */
    public function get(): array
    {
        return $this->parts ??= ($this->find)();
    }

    /** With each point moved to a x + b y + e, c x + d y + f; turned round where that mirrors. */
    public function transformed(float $a, float $b, float $c, float $d, float $e, float $f): self
    {
        return new self(
            fn (): array => array_map(static function (array $part) use ($a, $b, $c, $d, $e, $f): array {
                $points = array_map(static fn (array $p): array => [$a * $p[0] + $b * $p[1] + $e, $c * $p[0] + $d * $p[1] + $f], $part);

                return $a * $d - $b * $c < 0 ? array_reverse($points) : $points;
            }, $this->get()),
        );
    }
}
