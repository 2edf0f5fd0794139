<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;

/** One thing that happened to a cut: when, what, and how long the cut was afterwards if that was measured. Colours are #rrggbb. */
final readonly class LedgerEntry
{
    public function __construct(
        public \DateTimeImmutable $on,
        public LedgerKind $kind,
        public ?Length $length = null,
        public string $note = '',
        public ?string $was = null,
        public ?string $colour = null,
    ) {
    }
}
