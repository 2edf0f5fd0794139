<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** Somebody is at a step since then. It is kept with the project, so that it outlives a browser that is closed. */
final readonly class Timer
{
    /** Longer than this, and longer than thrice what the step takes, it was forgotten rather than sewn. */
    private const BELIEVED = 90;

    /** @param \DateTimeImmutable $since to the second */
    public function __construct(public string $step, public \DateTimeImmutable $since)
    {
    }

    /** Minutes until then, rounded; less than half a minute is none. */
    public function minutes(\DateTimeImmutable $now): int
    {
        return max(0, (int) round(($now->getTimestamp() - $this->since->getTimestamp()) / 60));
    }

    /** Whether nobody believes that so many minutes were all spent on the step: then they are asked for. */
    public static function isForgotten(int $minutes, ?int $expected): bool
    {
        return $minutes > max(self::BELIEVED, 3 * ($expected ?? 0));
    }
}
