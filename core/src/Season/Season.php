<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

/** A span of weeks with hours to sew; or none, for what is planned and has its turn no one knows when. */
final readonly class Season
{
    /** @param bool $undated in no season: it has no days, no hours and no chalk line, and gets cloth after all others */
    public function __construct(
        public string $id,
        public string $name,
        public \DateTimeImmutable $starts,
        public int $weeks,
        public int $minutesPerWeek,
        public string $notes = '',
        public bool $undated = false,
    ) {
    }

    public static function none(string $id = 'none'): self
    {
        return new self($id, 'In no season', new \DateTimeImmutable('9999-01-01'), 1, 0, undated: true);
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
