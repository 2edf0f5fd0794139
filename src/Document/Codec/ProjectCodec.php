<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Measure\Matching;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Certainty;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Purpose;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Gate\Check;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A project: what it is, and the options of how to make it, with what each claims. */
final readonly class ProjectCodec
{
    /** Claims, or copies, of one option. */
    public const MOST = 50;

    /** What an option has, and before version 3 a project of its current one. */
    private const OPTION = [
        'id',
        'version',
        'size',
        'gradedTo',
        'minutes',
        'alterations',
        'claims',
        'matching',
        'leftOut',
        'declined',
        'when',
        'copies',
        'parts',
    ];

    public function __construct(
        private AlterationCodec $alterations = new AlterationCodec(),
        private WishCodec $wishes = new WishCodec(),
        private DecisionCodec $decisions = new DecisionCodec(),
        private PartCodec $parts = new PartCodec(),
        private PictureCodec $pictures = new PictureCodec(),
        private SewingCodec $sewing = new SewingCodec(),
        private StateCodec $states = new StateCodec(),
    ) {
    }

    /** @return ?Project null when its season is not there; without one it is in no season */
    public function read(Node $node, References $known): ?Project
    {
        $node->object([
            ...self::OPTION,
            'name',
            'season',
            'rank',
            'person',
            'certainty',
            'state',
            'deadline',
            'soft',
            'notBefore',
            'ease',
            'pictures',
            'notes',
            'notionsTaken',
            'current',
            'options',
            'decisions',
            'sewing',
            'purpose',
            'occasion',
            'toile',
        ]);
        $id = $node->at('id')->name(60);
        $season = $node->at('season')->isThere() ? $node->at('season')->named($known->seasons, 'season') : Season::none();
        if (null === $season) {
            return null;
        }
        [$current, $others] = $this->options($node, $id, $known);

        return new Project(
            $id,
            $node->at('name')->name(),
            $season,
            $node->at('rank')->integer(0, 1_000_000) ?? 0,
            brief: new ProjectBrief(
                $node->at('person')->named($known->people, 'person'),
                purpose: $node->at('purpose')->choice(Purpose::class),
                occasion: $node->at('occasion')->text(200),
                certainty: $node->at('certainty')->choice(Certainty::class) ?? Certainty::Likely,
                dates: new ProjectDates($node->at('deadline')->date(), $node->at('soft')->boolean(), $node->at('notBefore')->date()),
                ease: $node->at('ease')->isThere() ? $node->at('ease')->requiredChange() : null,
                toile: $node->at('toile')->optionalBoolean(),
                notes: $node->at('notes')->text(),
            ),
            log: new ProjectLog(
                state: $this->states->read($node->at('state')),
                sewing: $this->sewing->read($node->at('sewing')),
                decisions: $this->decisions->read($node->at('decisions')),
                notionsTaken: $node->at('notionsTaken')->boolean(),
                pictures: $this->pictures->read($node->at('pictures')),
            ),
            current: $current,
            others: $others,
        );
    }

    /** @return array<string, mixed> */
    public function write(Project $project): array
    {
        return Fields::known([
            'id' => $project->id,
            'name' => $project->name,
            'season' => $project->season->undated ? null : $project->season->id,
            'rank' => $project->rank,
            'person' => $project->brief->person?->id,
            'certainty' => $project->brief->certainty->value,
            'state' => $project->log->state->value,
            'deadline' => $project->brief->dates->deadline?->format('Y-m-d'),
            'soft' => $project->brief->dates->soft,
            'notBefore' => $project->brief->dates->notBefore?->format('Y-m-d'),
            'ease' => $project->brief->ease?->millimetres(),
            'pictures' => $this->pictures->write($project->log->pictures),
            'notes' => $project->brief->notes,
            'notionsTaken' => $project->log->notionsTaken,
            'current' => $project->current->id,
            'options' => array_map($this->writeOption(...), [$project->current, ...$project->others]),
            'decisions' => $this->decisions->write($project->log->decisions),
            'sewing' => $this->sewing->write($project->log->sewing),
            'purpose' => $project->brief->purpose?->value,
            'occasion' => $project->brief->occasion,
            'toile' => $project->brief->toile,
        ]);
    }

    /** @return array{Option, list<Option>} the current one, and the others */
    private function options(Node $project, string $id, References $known): array
    {
        $options = [];
        foreach ($project->at('options')->items() as $node) {
            $node->object([...self::OPTION, 'past']);
            $option = $this->option($node, $node->at('id')->name(60), $known);
            if (isset($options['#'.$option->id])) {
                $node->at('id')->fault('The id “{id}” stands here more than once.', id: $option->id);
            }
            $options['#'.$option->id] = $node->at('past')->boolean() ? $option->letGo() : $option;
        }
        // before version 3 the current one was written into the project itself
        $current = $project->at('current')->isThere()
            ? $project->at('current')->named($options, 'option') ?? new Option($id)
            : $this->option($project, $id, $known);

        return [$current, array_values(array_filter($options, static fn (Option $option): bool => $option !== $current))];
    }

    private function option(Node $node, string $id, References $known): Option
    {
        [$pattern, $version] = $node->at('version')->named($known->versions, 'version') ?? [null, null];

        return new Option(
            $id,
            $pattern,
            $version,
            size: $node->at('size')->optionalText(20),
            gradedTo: $node->at('gradedTo')->optionalText(20),
            minutes: $node->at('minutes')->integer(0, 100_000),
            alterations: $this->alterations->read($node->at('alterations')),
            claims: $this->claims($node->at('claims'), $id, $known),
            matching: $node->at('matching')->choice(Matching::class),
            leftOut: $node->at('leftOut')->texts(120),
            declined: $node->at('declined')->choices(Role::class, 11),
            when: $node->at('when')->text(200),
            copies: $this->copies($node->at('copies'), $id, $known),
            parts: $this->parts->read($node->at('parts'), $known->versions),
        );
    }

    /** @return array<string, mixed> */
    private function writeOption(Option $option): array
    {
        return Fields::known([
            'id' => $option->id,
            'version' => $option->version?->id,
            'size' => $option->size,
            'gradedTo' => $option->gradedTo,
            'minutes' => $option->minutes,
            'alterations' => $this->alterations->write($option->alterations),
            'claims' => array_map($this->writeClaim(...), $option->claims),
            'matching' => $option->matching?->value,
            'leftOut' => $option->leftOut,
            'declined' => array_map(static fn (Role $role): string => $role->value, $option->declined),
            'when' => $option->when,
            'parts' => $this->parts->write($option->parts),
            'copies' => array_map(
                fn (Copy $copy): array => Fields::known([
                    'person' => $copy->person?->id,
                    'size' => $copy->size,
                    'gradedTo' => $copy->gradedTo,
                    'claims' => array_map($this->writeClaim(...), $copy->claims),
                ]),
                $option->copies,
            ),
            'past' => $option->past,
        ]);
    }

    /** @return list<Copy> */
    private function copies(Node $list, string $option, References $known): array
    {
        $copies = [];
        foreach ($list->items(self::MOST) as $i => $node) {
            $node->object(['person', 'size', 'gradedTo', 'claims']);
            $claims = $this->claims($node->at('claims'), $option.'×'.$i, $known);
            if ([] === $claims) {
                $node->at('claims')->fault('A further copy says at least which role it takes cloth for.');
            }
            $copies[] = new Copy(
                $node->at('person')->named($known->people, 'person'),
                $node->at('size')->optionalText(20),
                $node->at('gradedTo')->optionalText(20),
                $claims,
            );
        }

        return $copies;
    }

    /** @return list<Claim> */
    private function claims(Node $list, string $project, References $known): array
    {
        $claims = [];
        foreach ($list->items(self::MOST) as $i => $node) {
            $node->object(['role', 'cut', 'buy', 'length', 'cutOut', 'lay', 'pieces', 'gate', 'used', 'asked']);
            [$cloth, $cut] = $node->at('cut')->named($known->cuts, 'cut') ?? [null, null];
            if (null !== $cut && $node->at('buy')->isThere()) {
                $node->fault('A claim has either a cut or something to buy, not both.');
            }
            $claims[] = new Claim(
                $project.'#'.$i,
                $node->at('role')->choice(Role::class) ?? Role::Main,
                $cloth,
                cut: $cut,
                wish: $node->at('buy')->isThere() ? $this->wishes->read($node->at('buy')) : null,
                stated: $node->at('length')->length(),
                cutOut: $node->at('cutOut')->boolean(),
                lay: $node->at('lay')->named($known->lays, 'lay'),
                pieces: $node->at('pieces')->texts(60),
                gate: $this->gate($node->at('gate')),
                used: $node->at('used')->length(),
                asked: $node->at('asked')->length(),
            );
        }

        return $claims;
    }

    /** @return array<string, string> */
    private function gate(Node $node): array
    {
        $gate = [];
        foreach ($node->names() as $check) {
            if (null === Check::tryFrom($check)) {
                $node->fault('“{check}” is no check before cutting.', check: $check);
            }
            $gate[$check] = $node->at($check)->text(200);
        }

        return $gate;
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
            'pieces' => $claim->pieces,
            'gate' => $claim->gate,
            'used' => $claim->used?->millimetres(),
            'asked' => $claim->asked?->millimetres(),
        ]);
    }
}
