<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** A test that was done, and what it showed, in a few words. */
final readonly class TestDone
{
    public function __construct(public \DateTimeImmutable $on, public TestKind $kind, public string $showed)
    {
    }
}
