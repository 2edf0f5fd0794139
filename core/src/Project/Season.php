<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Cloth\Warmth;

/** A span of weeks with hours to sew; or none, for what is planned and has its turn no one knows when. */
final readonly class Season
{
    /** @var list<int> weeks of it in which somebody sews, from nought */
    private array $sewn;

    /**
     * @param bool      $undated in no season: it has no days, no hours and no chalk line, and gets cloth after all others
     * @param list<int> $off     weeks without sewing, the first is 1
     * @param ?int      $most    so many garments and no more; without hours the season is planned by that count
     */
    public function __construct(
        public string $id,
        public string $name,
        public \DateTimeImmutable $starts,
        public int $weeks,
        public int $minutesPerWeek,
        public string $notes = '',
        public bool $undated = false,
        public array $off = [],
        public ?int $most = null,
    ) {
        $this->sewn = array_values(array_diff(range(0, $weeks - 1), array_map(static fn (int $week): int => $week - 1, $off)));
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<self> theirs, each once
     */
    public static function ofProjects(array $projects): array
    {
        $seasons = [];
        foreach ($projects as $project) {
            $seasons[$project->season->id] = $project->season;
        }

        return array_values($seasons);
    }

    public static function none(string $id = 'none'): self
    {
        return new self($id, 'In no season', new \DateTimeImmutable('9999-01-01'), 1, 0, undated: true);
    }

    /** The days of the year it is for: cold from November to March, warm from May to September; null for others, or both. */
    public function days(): ?Warmth
    {
        $months = array_unique(array_map(
            fn (int $week): int => (int) $this->starts->modify('+'.$week.' weeks')->format('n'),
            $this->undated ? [] : range(0, $this->weeks),
        ));

        return match (true) {
            [] === $months => null,
            [] === array_diff($months, [11, 12, 1, 2, 3]) => Warmth::Cold,
            [] === array_diff($months, [5, 6, 7, 8, 9]) => Warmth::Warm,
            default => null,
        };
    }

    public function minutes(): int
    {
        return \count($this->sewn) * $this->perWeek();
    }

    /** Whether its garments are counted and no hours: "three in three weeks". */
    public function isCounted(): bool
    {
        return 0 === $this->minutesPerWeek && null !== $this->most;
    }

    /** What each garment takes of a season that is counted, in parts of its time. */
    public function eachOfCounted(): int
    {
        return 60 * \count($this->sewn);
    }

    /** Minutes; of a season that is counted in parts of its time. */
    private function perWeek(): int
    {
        return $this->isCounted() ? 60 * ($this->most ?? 0) : $this->minutesPerWeek;
    }

    /** The last day. */
    public function ends(): \DateTimeImmutable
    {
        return $this->starts->modify('+'.($this->weeks * 7 - 1).' days');
    }

    /** The day on which the last of so many minutes falls: a week that is exactly full ends on its last day. */
    public function doneOn(int $minutes): \DateTimeImmutable
    {
        if (0 === $this->perWeek() || $minutes <= 0) {
            return $this->dayAfter($minutes);
        }
        $days = intdiv($minutes * 7 - 1, $this->perWeek());

        return $this->starts->modify('+'.(7 * $this->week(intdiv($days, 7)) + $days % 7).' days');
    }

    /** Minutes of sewing that are over before a day, so that what takes the next is begun on it at the earliest. */
    public function minutesBefore(\DateTimeImmutable $day): int
    {
        $days = (int) $this->starts->diff($day)->format('%r%a');
        if ($days <= 0 || $this->undated) {
            return 0;
        }
        $week = intdiv($days, 7);
        $over = \count(array_filter($this->sewn, static fn (int $one): bool => $one < $week)) + max(0, $week - $this->weeks);
        $isSewn = $week >= $this->weeks || \in_array($week, $this->sewn, true);

        return $over * $this->perWeek() + ($isSewn ? intdiv($days % 7 * $this->perWeek() + 6, 7) : 0);
    }

    /** The day on which what follows so many minutes of sewing is begun; weeks off are passed over. */
    public function dayAfter(int $minutes): \DateTimeImmutable
    {
        if (0 === $this->perWeek()) {
            return $this->starts->modify('+'.($this->weeks * 7).' days');
        }
        $days = intdiv($minutes * 7, $this->perWeek());

        return $this->starts->modify('+'.(7 * $this->week(intdiv($days, 7)) + $days % 7).' days');
    }

    /** How far into the season so many minutes of sewing reach, in weeks. */
    public function weeksAfter(int $minutes): float
    {
        if (0 === $this->perWeek()) {
            return 0.0;
        }
        $worked = intdiv($minutes, $this->perWeek());

        return $this->week($worked) + $minutes / $this->perWeek() - $worked;
    }

    /** Which week of the season it is in which somebody sews for the nth time, both from nought; beyond its end they go on. */
    private function week(int $nth): int
    {
        return $this->sewn[$nth] ?? $this->weeks + $nth - \count($this->sewn);
    }
}
