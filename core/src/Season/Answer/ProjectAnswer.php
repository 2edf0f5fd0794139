<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Answer;

use Octavum\Core\Need\Verdict;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Hours;
use Octavum\Core\Project\Time\Turn;
use Octavum\Core\Season\Snag\Snag;

/** A project checked: its roles, its snags, and when its hours fall. */
final readonly class ProjectAnswer
{
    public Project $project;
    public Hours $hours;

    /**
     * @param list<RoleAnswer>   $roles
     * @param list<Snag>         $snags   of the roles and of the project, gravest first
     * @param list<NotionAnswer> $notions
     */
    public function __construct(
        public Turn $turn,
        public array $roles,
        public ?Verdict $verdict,
        public array $snags,
        public array $notions = [],
    ) {
        $this->project = $turn->project;
        $this->hours = $turn->hours;
    }

    public function role(string $claim): ?RoleAnswer
    {
        foreach ($this->roles as $role) {
            if ($role->claim->id === $claim) {
                return $role;
            }
        }

        return null;
    }

    /** Whether several cloths are each for some pieces. */
    public function hasPieces(): bool
    {
        return \count(array_filter($this->roles, static fn (RoleAnswer $role): bool => [] !== $role->claim->pieces)) > 1;
    }

    /** @return array<string, array{string, \DateTimeImmutable}> what is ordered for it, and about when it comes, by a name that stays */
    public function parcels(): array
    {
        $parcels = [];
        foreach ($this->roles as $role) {
            $comes = $role->claim->comes();
            if (null !== $comes) {
                $parcels['parcel-'.$role->claim->id] = [$role->claim->cloth->name ?? '', $comes];
            }
        }
        foreach ($this->notions as $i => $notion) {
            if (null !== $notion->comes) {
                $parcels['notion-'.$this->project->id.'-'.$i] = [$notion->text, $notion->comes];
            }
        }

        return $parcels;
    }
}
