<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

use Octavum\Core\Measure\Length;

/** What always has to be altered for somebody, such as "trousers 5 cm longer"; offered on each new pattern of the kind. */
final readonly class Fact
{
    /**
     * @param string  $garment of which kind of garment, by its value; empty for all
     * @param ?Length $length  by which it makes the lay longer, or with a minus shorter; null when it costs no cloth
     */
    public function __construct(public string $name, public ?Length $length = null, public string $garment = '')
    {
    }
}
