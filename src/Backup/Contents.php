<?php

declare(strict_types=1);

namespace Octavum\Backup;

/** What an archive says that it holds. */
final readonly class Contents
{
    /** @param array<string, int> $rows by table */
    public function __construct(public \DateTimeImmutable $at, public array $rows, public int $files, public int $bytes)
    {
    }

    public function sentence(): string
    {
        return \sprintf(
            'made on %s: %d accounts, %d cloths, %d patterns, %d projects, %d pictures and files, %.1f MB',
            $this->at->format('Y-m-d \a\t H:i'),
            $this->rows['account'] ?? 0,
            $this->rows['cloth'] ?? 0,
            $this->rows['pattern'] ?? 0,
            $this->rows['project'] ?? 0,
            $this->files,
            $this->bytes / 1_000_000,
        );
    }
}
