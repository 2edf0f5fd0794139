<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

final readonly class Season
{
    public function __construct(
        public string $id,
        public string $name,
        public \DateTimeImmutable $starts,
        public int $weeks,
        public int $minutesPerWeek,
        public string $notes = '',
    ) {
    }

    public function minutes(): int
    {
        return $this->weeks * $this->minutesPerWeek;
    }

    /** The last day. */
    public function ends(): \DateTimeImmutable
    {
        return $this->starts->modify('+'.($this->weeks * 7 - 1).' days');
    }

    /** The day on which so many minutes of sewing have been done. */
    public function dayAfter(int $minutes): \DateTimeImmutable
    {
        return $this->starts->modify(
            '+'.(0 === $this->minutesPerWeek ? $this->weeks * 7 : intdiv($minutes * 7, $this->minutesPerWeek)).' days',
        );
    }
}
