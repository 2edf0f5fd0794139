<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Answer\RoleAnswer;

/** One thing to buy: for which role of which project, and what to ask for at each width. */
final readonly class ShoppingItem
{
    /**
     * @param list<array{
     *     width: Length, ask: Ask|Unknown, area: ?Length,
     * }> $asks none where another cut owned would do; area: a second opinion
     * @param ?Length $missing       of the cut owned, when this replaces it
     * @param ?int    $pricePerMetre in the smallest coin
     */
    public function __construct(
        public Project $project,
        public RoleAnswer $role,
        public string $cloth,
        public array $asks,
        public ?Length $missing,
        public ?int $pricePerMetre,
    ) {
    }

    /** Its pieces go on the cut that is there when they are laid: nothing is to be bought for it once that lay is kept. */
    public function isEnoughLaid(): bool
    {
        return $this->role->isEnoughLaid();
    }

    /** Why not to buy it yet; null when nothing is open. */
    public function wait(): ?Sentence
    {
        $events = $this->project->hangsOn();

        return [] === $events
            ? null
            : new Sentence('Don’t buy yet. How {project} is made depends on this: {events}.', [
                'project' => $this->project->name,
                'events' => implode(', ', $events),
            ]);
    }
}
