<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

use Octavum\Core\Season\Answer\OptionAnswer;

/** An option beside the others: what it would come to, with a strip for each role. */
final readonly class OptionCard
{
    /** @param list<RoleRow> $roles */
    public function __construct(public OptionAnswer $answer, public array $roles)
    {
    }
}
