<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

/** What the table of all says of one cut, or of one version: how many pairs stand where, and the best that are enough. */
final class CrossLine
{
    /** @var array<string, int> how many stand where, by group; those that are refused left out */
    public array $count = [];

    /** Of how many of them nobody knows whether they are enough. */
    public int $unknown = 0;

    /** @var list<Paired> the best of them, a few */
    public array $best = [];

    /** @param int $named so many of the best are kept */
    public function __construct(private readonly int $named = 3)
    {
    }

    public function add(Paired $pair): void
    {
        $this->count[$pair->group->value] = ($this->count[$pair->group->value] ?? 0) + 1;
        $this->unknown += (int) (null === $pair->spare);
        if (!$pair->isEnough()) {
            return;
        }
        $last = $this->best[$this->named - 1] ?? null;
        if (null === $last || Paired::compare($pair, $last) < 0) {
            $this->best[] = $pair;
            usort($this->best, Paired::compare(...));
            $this->best = \array_slice($this->best, 0, $this->named);
        }
    }
}
