<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;

/** What is altered on a pattern for one person, kept for the next time. Section 6. */
final readonly class KeptAlteration
{
    /**
     * @param string  $person id
     * @param ?Length $length by which it makes the lay longer; null when it costs no cloth
     * @param bool    $drawn  on the paper already
     */
    public function __construct(public string $person, public string $name, public ?Length $length = null, public bool $drawn = false)
    {
    }
}
