<?php

declare(strict_types=1);

namespace Octavum\Exchange;

use Octavum\Core\Measure\Sentence;

/** Gathers what is wrong in a document while reading goes on. */
final class Faults
{
    private const MOST = 200;

    /** @var list<Fault> */
    private array $found = [];

    public function add(string $pointer, Sentence $sentence): void
    {
        if (\count($this->found) < self::MOST) {
            $this->found[] = new Fault($pointer, $sentence);
        }
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return $this->found;
    }

    /** @throws Refused when anything was wrong */
    public function refuse(): void
    {
        if ([] !== $this->found) {
            throw new Refused($this->found);
        }
    }
}
