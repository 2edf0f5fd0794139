<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Project\Log\Step;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Snag\Snag;

/** The one thing that brings a project on, and what it is done to. */
final readonly class NextAction
{
    public function __construct(
        public NextKind $kind,
        public ?RoleAnswer $role = null,
        public ?Snag $snag = null,
        public ?Step $step = null,
    ) {
    }
}
