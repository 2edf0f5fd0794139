<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Measure\Matching;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Certainty;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectState;

/** A project with what it claims. */
final readonly class ProjectCodec
{
    public function __construct(
        private AlterationCodec $alterations = new AlterationCodec(),
        private WishCodec $wishes = new WishCodec(),
    ) {
    }

    /** @return ?Project null when its season is none */
    public function read(Node $node, References $known): ?Project
    {
        $node->object([
            'id',
            'name',
            'season',
            'rank',
            'person',
            'version',
            'size',
            'gradedTo',
            'certainty',
            'state',
            'deadline',
            'minutes',
            'alterations',
            'claims',
            'notes',
            'notionsTaken',
            'matching',
            'leftOut',
            'declined',
        ]);
        $id = $node->at('id')->name(60);
        $season = $node->at('season')->named($known->seasons, 'season');
        if (null === $season) {
            if (!$node->at('season')->isThere()) {
                $node->at('season')->fault('The season of this project is missing.');
            }

            return null;
        }
        [$pattern, $version] = $node->at('version')->named($known->versions, 'version') ?? [null, null];

        return new Project(
            $id,
            $node->at('name')->name(),
            $season,
            $node->at('rank')->integer(0, 1_000_000) ?? 0,
            $node->at('person')->named($known->people, 'person'),
            $pattern,
            $version,
            $node->at('size')->optionalText(20),
            $node->at('gradedTo')->optionalText(20),
            $node->at('certainty')->choice(Certainty::class) ?? Certainty::Likely,
            $node->at('state')->choice(ProjectState::class) ?? ProjectState::Planned,
            $node->at('deadline')->date(),
            $node->at('minutes')->integer(0, 100_000),
            $this->alterations->read($node->at('alterations')),
            $this->claims($node->at('claims'), $id, $known),
            $node->at('notes')->text(),
            $node->at('notionsTaken')->boolean(),
            $node->at('matching')->choice(Matching::class),
            $node->at('leftOut')->texts(120),
            $this->declined($node->at('declined')),
        );
    }

    /** @return array<string, mixed> */
    public function write(Project $project): array
    {
        return Fields::known([
            'id' => $project->id,
            'name' => $project->name,
            'season' => $project->season->id,
            'rank' => $project->rank,
            'person' => $project->person?->id,
            'version' => $project->version?->id,
            'size' => $project->size,
            'gradedTo' => $project->gradedTo,
            'certainty' => $project->certainty->value,
            'state' => $project->state->value,
            'deadline' => $project->deadline?->format('Y-m-d'),
            'minutes' => $project->minutes,
            'alterations' => $this->alterations->write($project->alterations),
            'claims' => array_map($this->writeClaim(...), $project->claims),
            'notes' => $project->notes,
            'notionsTaken' => $project->notionsTaken,
            'matching' => $project->matching?->value,
            'leftOut' => $project->leftOut,
            'declined' => array_map(static fn (Role $role): string => $role->value, $project->declined),
        ]);
    }

    /** @return list<Claim> */
    private function claims(Node $list, string $project, References $known): array
    {
        $claims = [];
        foreach ($list->items(50) as $i => $node) {
            $node->object(['role', 'cut', 'buy', 'length', 'cutOut', 'lay']);
            [$cloth, $cut] = $node->at('cut')->named($known->cuts, 'cut') ?? [null, null];
            if (null !== $cut && $node->at('buy')->isThere()) {
                $node->fault('A claim has either a cut or something to buy, not both.');
            }
            $claims[] = new Claim(
                $project.'#'.$i,
                $node->at('role')->choice(Role::class) ?? Role::Main,
                $cloth,
                $cut,
                $node->at('buy')->isThere() ? $this->wishes->read($node->at('buy')) : null,
                $node->at('length')->length(),
                $node->at('cutOut')->boolean(),
                $node->at('lay')->named($known->lays, 'lay'),
            );
        }

        return $claims;
    }

    /** @return list<Role> */
    private function declined(Node $list): array
    {
        return array_values(array_filter(array_map(static fn (Node $one): ?Role => $one->choice(Role::class), $list->items(11))));
    }

    /** @return array<string, mixed> */
    private function writeClaim(Claim $claim): array
    {
        return Fields::known([
            'role' => $claim->role->value,
            'cut' => $claim->cut?->id,
            'buy' => null === $claim->wish ? null : $this->wishes->write($claim->wish),
            'length' => $claim->stated?->millimetres(),
            'cutOut' => $claim->cutOut,
            'lay' => $claim->lay?->id,
        ]);
    }
}
