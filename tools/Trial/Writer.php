<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Someone who goes on writing until the server no longer answers, and knows afterwards what must be there. */
abstract class Writer
{
    public function __construct(public readonly Visitor $visitor)
    {
    }

    /** @param \Closure(string): mixed $tell “begun …” before, “done …” once it is acknowledged, “refused …” when it is not */
    public function write(int $round, \Closure $tell): void
    {
        for ($n = 0; $n < 1000; ++$n) {
            $what = $this->next($round, $n);
            $tell('begun '.$what);
            $answer = $this->send($what);
            if (0 === $answer->status) {
                return;
            }
            $tell($this->isAcknowledged($answer) ? 'done '.$what : 'refused '.$answer->status);
        }
    }

    /**
     * @param list<string> $lines what was told
     *
     * @return list<string> what was acknowledged
     */
    final public static function acknowledged(array $lines): array
    {
        $done = array_filter($lines, static fn (string $line): bool => str_starts_with($line, 'done '));

        return array_map(static fn (string $line): string => substr($line, \strlen('done ')), array_values($done));
    }

    /**
     * @param list<string> $lines what was told
     *
     * @return list<string> what was acknowledged and is not there, a sentence each
     */
    abstract public function lost(array $lines): array;

    abstract protected function next(int $round, int $n): string;

    abstract protected function send(string $what): Answer;

    abstract protected function isAcknowledged(Answer $answer): bool;

    /**
     * Of writing that takes the place of what was before: what may stand there now.
     *
     * @param list<string> $lines
     *
     * @return list<string> the last acknowledged, and what was begun after it; empty when nothing was acknowledged
     */
    protected function mayStand(array $lines): array
    {
        if ([] === self::acknowledged($lines)) {
            return [];
        }
        $may = [];
        foreach ($lines as $line) {
            [$kind, $what] = explode(' ', $line, 2);
            $may = match ($kind) {
                'done' => [$what],
                'begun' => [...$may, $what],
                default => \array_slice($may, 0, -1),
            };
        }

        return $may;
    }
}
