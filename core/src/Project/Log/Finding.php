<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

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

    /** It turned out well; false for badly, null where neither its fit nor another time is noted. */
    public function isGood(): ?bool
    {
        return match (true) {
            Fitted::Badly === $this->fitted, Again::No === $this->again => false,
            null !== $this->fitted, null !== $this->again => true,
            default => null,
        };
    }

    /** How it turned out, in short: "does not fit; make again: no; shorten the strap". */
    public function words(): string
    {
        $said = [$this->fitted?->value, null === $this->again ? null : 'make again: '.$this->again->value, $this->change, $this->note];

        return implode('; ', array_filter($said, static fn (?string $one): bool => null !== $one && '' !== $one));
    }
}
