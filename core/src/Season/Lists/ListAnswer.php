<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Lists;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Log\ProjectState;

/** How a list stands: what is on it, how much is done, what is without cloth, and what breaks its rule. */
final readonly class ListAnswer
{
    /** @param list<ListRow> $rows */
    public function __construct(public SewingList $list, public array $rows)
    {
    }

    public function done(): int
    {
        return \count(array_filter($this->rows, static fn (ListRow $row): bool => ProjectState::Done === $row->project->log->state));
    }

    public function withoutCloth(): int
    {
        return \count(array_filter($this->rows, static fn (ListRow $row): bool => $row->withoutCloth));
    }

    /** @return list<Sentence> */
    public function breaches(): array
    {
        return array_values(array_filter(array_map(static fn (ListRow $row): ?Sentence => $row->breach, $this->rows)));
    }

    /** "4 of 9, 6 on the list, two without cloth". */
    public function sentence(): Sentence
    {
        $with = [
            'done' => $this->done(),
            'target' => $this->list->target ?? \count($this->rows),
            'count' => \count($this->rows),
            'without' => $this->withoutCloth(),
        ];

        return new Sentence(
            '{done} of {target} done, {count, plural, =0 {none} other {#}} on the list{without, plural, =0 {} one {, one without cloth} other {, # without cloth}}',
            $with,
        );
    }
}
