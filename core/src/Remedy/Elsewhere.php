<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;

/** More of the same cloth: another cut of it, or what can be bought. */
final readonly class Elsewhere
{
    public const BUY = 'buy';

    /**
     * @param string  $key    the id of the cut; BUY for what can be bought
     * @param Length  $usable width
     * @param ?Length $free   null for as much as is wanted
     */
    public function __construct(public string $key, public Length $usable, public ?Length $free)
    {
    }

    public function isToBuy(): bool
    {
        return self::BUY === $this->key;
    }
}
