<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

use Octavum\Core\Measure\Sentence;

/** Gathers what is wrong in a document while reading goes on. */
final class Faults
{
    private const MOST = 200;

    /** @var list<DocumentFault> */
    private array $found = [];

    /** @param ?string $row the stored row that is read: what is wrong with it is thrown at once */
    public function __construct(private readonly ?string $row = null)
    {
    }

    /** Whether a stored row is read, and not a document or a form. */
    public function isOfRow(): bool
    {
        return null !== $this->row;
    }

    /** @throws BrokenRow when a stored row is read */
    public function add(string $pointer, Sentence $sentence): void
    {
        if (null !== $this->row) {
            throw new BrokenRow($this->row, $pointer, $sentence);
        }
        if (\count($this->found) < self::MOST) {
            $this->found[] = new DocumentFault($pointer, $sentence);
        }
    }

    /** @return list<DocumentFault> */
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
