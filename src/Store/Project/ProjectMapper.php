<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Season;
use Octavum\Document\Codec\AlterationCodec;
use Octavum\Document\Codec\DecisionCodec;
use Octavum\Document\Codec\PictureCodec;
use Octavum\Document\Codec\SewingCodec;
use Octavum\Document\Codec\WishCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Person\People;
use Octavum\Store\Person\PersonRecord;

/** Stored seasons and projects to the core's and back. */
final readonly class ProjectMapper
{
    public function __construct(
        private ClothMapper $cloths,
        private PatternMapper $patterns,
        private AlterationCodec $alterations,
        private WishCodec $wishes,
        private DecisionCodec $decisions,
        private LayMapper $lays,
        private People $people,
        private PartMapper $parts,
        private PictureCodec $pictures,
        private SewingCodec $sewing,
    ) {
    }

    /**
     * @param iterable<ProjectRecord> $records
     * @param bool                    $alone   with their current option only
     *
     * @return list<Project> sharing one Cloth for each cloth
     */
    public function projects(iterable $records, IdentityMap $built, bool $alone = false): array
    {
        $projects = [];
        foreach ($records as $record) {
            $projects[] = new Project(
                $record->id,
                $record->name,
                $this->season($record->season),
                $record->rank,
                brief: new ProjectBrief(
                    $this->person($record->person, $built),
                    dates: new ProjectDates(deadline: $record->deadline, soft: $record->soft, notBefore: $record->notBefore),
                    purpose: $record->purpose,
                    occasion: $record->occasion,
                    certainty: $record->certainty,
                    ease: null === $record->ease ? null : Length::ofMicrometres($record->ease),
                    toile: $record->toile,
                    notes: $record->notes,
                ),
                log: new ProjectLog(
                    state: $record->state,
                    sewing: $this->sewing->read(Node::stored($record->sewing, 'project '.$record->id)),
                    decisions: $this->decisions->read(Node::stored($record->decisions, 'project '.$record->id)),
                    notionsTaken: $record->notionsTaken,
                    pictures: $this->pictures->read(Node::stored($record->pictures, 'project '.$record->id)),
                ),
                current: $this->option($record->current, $built),
                others: $alone ? [] : array_map(fn (OptionRecord $option): Option => $this->option($option, $built), $record->others()),
            );
        }

        return $projects;
    }

    private function option(OptionRecord $record, IdentityMap $built): Option
    {
        $claims = $copies = [];
        $all = $record->claims->toArray();
        // the main cloth first, in whatever order they came to be
        $place = static fn (ClaimRecord $claim): array => [Role::Main !== $claim->role, $claim->id];
        usort($all, static fn (ClaimRecord $a, ClaimRecord $b): int => $place($a) <=> $place($b));
        foreach ($all as $claim) {
            if (null === $claim->copy) {
                $claims[] = $this->claim($claim, $built);
            } else {
                $copies[$claim->copy->id][] = $claim;
            }
        }
        $pattern = $this->pattern($record->version?->pattern, $built);

        return new Option(
            $record->id,
            $pattern,
            $this->find($pattern->versions ?? [], $record->version?->id),
            size: $record->size,
            gradedTo: $record->gradedTo,
            minutes: $record->minutes,
            alterations: $this->alterations->read(Node::stored($record->alterations, 'option '.$record->id)),
            claims: $claims,
            matching: $record->matching,
            leftOut: $record->leftOut,
            declined: array_map(Role::from(...), $record->declined),
            when: $record->hangsOn,
            past: $record->past,
            copies: array_map(fn (array $all): Copy => $this->copy($all, $built), array_values($copies)),
            parts: $this->parts->parts($record->parts, $record->project->season->account, $built),
        );
    }

    /** @param non-empty-list<ClaimRecord> $claims of one copy */
    private function copy(array $claims, IdentityMap $built): Copy
    {
        $record = $claims[0]->copy ?? throw new \LogicException('These are a copy’s.');

        return new Copy(
            $this->person($record->person, $built),
            $record->size,
            $record->gradedTo,
            array_map(fn (ClaimRecord $claim): Claim => $this->claim($claim, $built), $claims),
        );
    }

    private function person(?PersonRecord $record, IdentityMap $built): ?Person
    {
        return null === $record || null !== $record->removedAt ? null : ($built->people[$record->id] ??= $this->people->person($record));
    }

    private function pattern(?PatternRecord $stored, IdentityMap $built): ?Pattern
    {
        return null === $stored || null !== $stored->removedAt
            ? null
            : ($built->patterns[$stored->id] ??= $this->patterns->pattern($stored));
    }

    private function claim(ClaimRecord $claim, IdentityMap $built): Claim
    {
        $stored = $claim->cut?->cloth;
        $cloth =
            null === $stored || null !== $stored->removedAt
                ? null
                : ($built->cloths[$stored->id] ??= $this->cloths->cloth($stored, $built->assumptions));
        $lay = null === $claim->lay?->removedAt ? $claim->lay : null;

        return new Claim(
            $claim->id,
            $claim->role,
            $cloth,
            cut: $this->find($cloth->cuts ?? [], $claim->cut?->id),
            wish: null === $claim->buy ? null : $this->wishes->read(Node::stored($claim->buy, 'claim '.$claim->id)),
            stated: null === $claim->stated ? null : Length::ofMicrometres($claim->stated),
            cutOut: $claim->cutOut,
            lay: null === $lay ? null : ($built->lays[$lay->id] ??= $this->lays->lay($lay, $built)),
            pieces: $claim->pieces,
            gate: $claim->gate,
            used: null === $claim->used ? null : Length::ofMicrometres($claim->used),
            asked: null === $claim->asked ? null : Length::ofMicrometres($claim->asked),
        );
    }

    public function season(SeasonRecord $record): Season
    {
        return $record->undated
            ? Season::none($record->id)
            : new Season(
                $record->id,
                $record->name,
                $record->starts,
                weeks: $record->weeks,
                minutesPerWeek: $record->minutesPerWeek,
                notes: $record->notes,
                off: $record->off,
                most: $record->most,
            );
    }

    /** Everything but season, person, other options, and version and claims of the current one, which are other records. */
    public function store(Project $project, ProjectRecord $record): void
    {
        $record->name = $project->name;
        $record->rank = $project->rank;
        $record->certainty = $project->brief->certainty;
        $record->state = $project->log->state;
        $record->deadline = $project->brief->dates->deadline;
        $record->soft = $project->brief->dates->soft;
        $record->notBefore = $project->brief->dates->notBefore;
        $record->ease = $project->brief->ease?->micrometres;
        $record->pictures = $this->pictures->write($project->log->pictures);
        $record->notes = $project->brief->notes;
        $record->notionsTaken = $project->log->notionsTaken;
        $record->decisions = $this->decisions->write($project->log->decisions);
        $record->sewing = $this->sewing->write($project->log->sewing);
        $record->purpose = $project->brief->purpose;
        $record->occasion = $project->brief->occasion;
        $record->toile = $project->brief->toile;
        ++$record->changes;
        $this->storeOption($project->current, $record->current);
    }

    /**
     * Everything but version and claims, which are other records.
     *
     * @param array<string, string> $versions ids of those its parts are of, where they are stored under others
     */
    public function storeOption(Option $option, OptionRecord $record, array $versions = []): void
    {
        $record->size = $option->size;
        $record->gradedTo = $option->gradedTo;
        $record->minutes = $option->minutes;
        $record->alterations = $this->alterations->write($option->alterations);
        $record->matching = $option->matching;
        $record->leftOut = $option->leftOut;
        $record->declined = array_map(static fn (Role $role): string => $role->value, $option->declined);
        $record->hangsOn = $option->when;
        $record->parts = $this->parts->store($option->parts, $versions);
        $record->past = $option->past;
    }

    /** Everything but cut and lay, which are other records. */
    public function storeClaim(Claim $claim, ClaimRecord $record): void
    {
        $record->role = $claim->role;
        $record->buy = null === $claim->wish ? null : $this->wishes->write($claim->wish);
        $record->stated = $claim->stated?->micrometres;
        $record->cutOut = $claim->cutOut;
        $record->pieces = $claim->pieces;
        $record->gate = $claim->gate;
        $record->used = $claim->used?->micrometres;
        $record->asked = $claim->asked?->micrometres;
    }

    /**
     * @template T of Cut|Version
     *
     * @param list<T> $all
     *
     * @return ?T
     */
    private function find(array $all, ?string $id): Cut|Version|null
    {
        foreach ($all as $one) {
            if ($one->id === $id) {
                return $one;
            }
        }

        return null;
    }
}
