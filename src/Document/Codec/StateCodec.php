<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Document\Json\Node;

/** How far a project has come; also as documents from before 26 November 2026 say it. */
final readonly class StateCodec
{
    private const FORMER = ['begun' => ProjectState::Sewing, 'finished' => ProjectState::Done, 'let go' => ProjectState::GivenUp];

    public function read(Node $node): ProjectState
    {
        return self::FORMER[$node->scalar() ?? ''] ?? $node->choice(ProjectState::class) ?? ProjectState::Planned;
    }
}
