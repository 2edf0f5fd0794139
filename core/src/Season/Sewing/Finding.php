<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Sewing;

/** What whoever sewed it thinks of it when it is done. */
final readonly class Finding
{
    /** @param string $change what to do otherwise next time; it goes back to the pattern */
    public function __construct(
        public \DateTimeImmutable $on,
        public ?Fitted $fitted = null,
        public ?Chosen $cloth = null,
        public ?Again $again = null,
        public string $change = '',
        public string $note = '',
    ) {
    }
}
