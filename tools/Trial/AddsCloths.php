<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

final class AddsCloths extends Writer
{
    public function lost(array $lines): array
    {
        $there = $this->visitor->page('/settings/export')->content;
        $lost = array_filter(self::acknowledged($lines), static fn (string $name): bool => !str_contains($there, '"'.$name.'"'));

        return array_map(static fn (string $name): string => $name.' was acknowledged and is lost', array_values($lost));
    }

    protected function next(int $round, int $n): string
    {
        return \sprintf('Cloth %d %d', $round, $n);
    }

    protected function send(string $what): Answer
    {
        return $this->visitor->send('/cloth/new', ['name' => $what, 'cuts' => [['length' => '2']]]);
    }

    protected function isAcknowledged(Answer $answer): bool
    {
        return 302 === $answer->status && str_starts_with($answer->location, '/cloth/');
    }
}
