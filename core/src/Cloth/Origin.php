<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** Where a cloth came from, as far as anybody remembers. */
final readonly class Origin
{
    /**
     * @param string $from   a shop, a person, a gift
     * @param string $called what the seller called it
     */
    public function __construct(public string $from = '', public ?\DateTimeImmutable $on = null, public string $called = '')
    {
    }

    public function isKnown(): bool
    {
        return '' !== $this->from || null !== $this->on || '' !== $this->called;
    }
}
