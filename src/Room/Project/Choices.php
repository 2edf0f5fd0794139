<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;

/** What a project can be made of, by the names that are typed or chosen. */
final readonly class Choices
{
    /**
     * @param array<string, array{Cloth, Cut}> $cuts
     * @param array<string, string>            $versions ids
     */
    public function __construct(public array $cuts, public array $versions)
    {
    }
}
