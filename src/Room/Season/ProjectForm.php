<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\FibreReader;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Tape;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Certainty;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Copy;
use Octavum\Core\Season\Option;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectState;
use Octavum\Core\Season\Season;
use Octavum\Core\Season\Wish;
use Octavum\Input\Entry;
use Octavum\Store\Library;
use Octavum\Store\Stash;

/**
 * The project form: what its fields show, and what was typed into them.
 * Longer than other files: the fields of a project are many, and what shows a field stands by what reads it.
 */
final readonly class ProjectForm
{
    public function __construct(private Stash $stash, private Library $library, private AccountSettings $settings)
    {
    }

    /** What can be chosen for a cut and for a version. */
    public function choices(Account $account): Choices
    {
        return new Choices($this->stash->named($account), $this->library->names($account));
    }

    /** @return array<string, mixed> by field, as typed */
    public function values(Project $project, Choices $choices, System $system): array
    {
        return [
            'name' => $project->name,
            'person' => $project->person->id ?? '',
            'season' => $project->season->id,
            'rank' => $project->rank > 0 ? (string) $project->rank : '',
            'certainty' => $project->certainty->value,
            'state' => $project->state->value,
            'deadline' => $project->deadline?->format('Y-m-d') ?? '',
            'soft' => $project->soft ? '1' : '',
            'notBefore' => $project->notBefore?->format('Y-m-d') ?? '',
            'notes' => $project->notes,
            'notionsTaken' => $project->notionsTaken ? '1' : '',
            ...$this->optionValues($project->lead(), $choices, $system),
        ];
    }

    /** @return array<string, mixed> by field, as typed */
    public function optionValues(Option $option, Choices $choices, System $system): array
    {
        $tape = new Tape($system);
        $typed = static fn (?Length $length): string => null === $length ? '' : $tape->typed($length);
        $cutNames = [];
        foreach ($choices->cuts as $name => [, $cut]) {
            $cutNames[$cut->id] = $name;
        }
        $claims = [];
        foreach ($option->claims as $claim) {
            $claims[] = [
                'role' => $claim->role->value,
                'from' => match (true) {
                    null !== $claim->wish => 'buy',
                    null !== $claim->cut => 'own',
                    default => '',
                },
                'cut' => null === $claim->cut ? '' : $cutNames[$claim->cut->id] ?? '',
                'buy' => $claim->wish->name ?? '',
                'fibres' => $claim->wish?->fibres->typed() ?? '',
                'structure' => $claim->wish->structure->value ?? Structure::Woven->value,
                'oneWay' => true === $claim->wish?->oneWay ? '1' : '',
                'width' => null === $claim->wish?->width ? '' : $tape->typed($claim->wish->width, small: true),
                'repeat' => null === $claim->wish?->repeat ? '' : $tape->typed($claim->wish->repeat, small: true),
                'price' => Entry::price($claim->wish?->pricePerMetre),
                'stated' => $typed($claim->stated),
                'cutOut' => $claim->cutOut ? '1' : '',
            ];
        }

        return [
            'version' => null === $option->version ? '' : (string) array_search($option->version->id, $choices->versions, true),
            'size' => $option->size ?? '',
            'gradedTo' => $option->gradedTo ?? '',
            'hours' => Entry::hours($option->minutes),
            'alterations' => array_map(
                static fn (Alteration $alteration): array => [
                    'name' => $alteration->name,
                    'length' => $tape->typed($alteration->length, small: true),
                    'roles' => self::named($alteration->roles),
                ],
                $option->alterations,
            ),
            'claims' => $claims,
            'matching' => $option->matching->value ?? '',
            'leftOut' => $option->leftOut,
            'declined' => array_map(static fn (Role $role): string => $role->value, $option->declined),
            'when' => $option->when,
            'copies' => array_map(
                static fn (Copy $copy): array => [
                    'person' => $copy->person->id ?? '',
                    'size' => $copy->size ?? '',
                    'gradedTo' => $copy->gradedTo ?? '',
                    'cut' => self::ownCut($copy, $option, $cutNames),
                ],
                $option->copies,
            ),
        ];
    }

    /**
     * @param Project               $project as it is; its options and decisions are kept
     * @param array<string, Season> $seasons by id
     * @param array<string, Person> $people  by id
     */
    public function read(
        Entry $entry,
        Project $project,
        array $seasons,
        array $people,
        Choices $choices,
        Account $account,
    ): Project {
        $lead = $this->option($entry, $project->id, $choices, $account, $people);

        return (new Project(
            $project->id,
            '' === $entry->raw('name') && null !== $lead->pattern ? $lead->pattern->title : $entry->name('name'),
            $seasons[$entry->raw('season')] ?? $project->season,
            $entry->integer('rank', 1, 1000) ?? $project->rank,
            $people[$entry->raw('person')] ?? null,
            certainty: $entry->choice('certainty', Certainty::class) ?? Certainty::Likely,
            state: $entry->choice('state', ProjectState::class) ?? ProjectState::Planned,
            deadline: $entry->date('deadline'),
            notes: $entry->text('notes'),
            notionsTaken: $entry->boolean('notionsTaken'),
            options: $project->options,
            decisions: $project->decisions,
            soft: $entry->boolean('soft'),
            notBefore: $entry->date('notBefore'),
        ))->made($lead);
    }

    /** @param array<string, Person> $people by id */
    public function option(Entry $entry, string $id, Choices $choices, Account $account, array $people): Option
    {
        $system = $this->settings->of($account)->system;
        $pattern = $version = null;
        $typed = $entry->raw('version');
        if ('' !== $typed) {
            $name = $this->meant($entry, 'version', $typed, array_keys($choices->versions));
            [$pattern, $version] = $this->library->version($account, $choices->versions[$name] ?? '') ?? [null, null];
            if (null === $version && !isset($entry->faults()['version'])) {
                $entry->fault(
                    'version',
                    new Sentence(
                        'There is no version called “{text}” in the library: choose one from the list, or add the pattern first.',
                        ['text' => mb_substr($typed, 0, 60)],
                    ),
                );
            }
        }
        $size = $this->size($entry, 'size');
        $gradedTo = $this->size($entry, 'gradedTo');
        $this->inTable($entry, ['size' => $size, 'gradedTo' => $gradedTo], $version);

        $claims = $this->claims($entry, $id, $choices->cuts, $system);

        return new Option(
            $id,
            $pattern,
            $version,
            $size,
            $gradedTo === $size ? null : $gradedTo,
            $entry->minutes('hours', Entry::MOST_MINUTES),
            $this->alterations($entry, $system),
            $claims,
            $entry->choice('matching', Matching::class),
            array_map(static fn (string $i): string => $entry->text('leftOut.'.$i, 120), $entry->rows('leftOut')),
            array_values(
                array_filter(
                    array_map(static fn (string $i): ?Role => $entry->choice('declined.'.$i, Role::class), $entry->rows('declined')),
                ),
            ),
            $entry->text('when', 200),
            copies: $this->copies($entry, $claims, $choices->cuts, $people, $version),
        );
    }

    /**
     * The roles of an alteration that can be chosen in a form, by name.
     *
     * @return list<Role>
     */
    public static function roles(string $name): array
    {
        return '' === $name ? KeptAlteration::ROLES : array_values(array_filter(array_map(Role::tryFrom(...), explode(' + ', $name))));
    }

    /** @param list<Role> $roles */
    public static function named(array $roles): string
    {
        return implode(' + ', array_map(static fn (Role $role): string => $role->value, $roles));
    }

    /**
     * The name that is typed, or the only one that holds all the words typed; several are named, so that one can be chosen.
     *
     * @param list<string> $names
     */
    private function meant(Entry $entry, string $field, string $typed, array $names): string
    {
        if (\in_array($typed, $names, true)) {
            return $typed;
        }
        $words = array_filter(explode(' ', strtr(mb_strtolower($typed), ',', ' ')), static fn (string $word): bool => '' !== $word);
        $found = array_values(
            array_filter(
                $names,
                static fn (string $name): bool => [] ===
                    array_filter($words, static fn (string $word): bool => !str_contains(mb_strtolower($name), $word)),
            ),
        );
        if (\count($found) > 1) {
            $entry->fault(
                $field,
                new Sentence('“{text}” may be {names}{more}: type a little more.', [
                    'text' => mb_substr($typed, 0, 40),
                    'names' => implode(' · ', \array_slice($found, 0, 5)),
                    'more' => \count($found) > 5 ? ' …' : '',
                ]),
            );
        }

        return 1 === \count($found) ? $found[0] : '';
    }

    private function size(Entry $entry, string $field): ?string
    {
        $size = $entry->text($field, 20);

        return '' === $size ? null : $size;
    }

    /** @param array<string, ?string> $sizes by field */
    private function inTable(Entry $entry, array $sizes, ?Version $version): void
    {
        foreach ($sizes as $field => $size) {
            if (null !== $size && null !== $version && [] !== $version->table->sizes && !$version->table->hasSize($size)) {
                $entry->fault(
                    $field,
                    new Sentence('Size {size} is not in the table of version {version}: it has {sizes}.', [
                        'size' => $size,
                        'version' => $version->name,
                        'sizes' => implode(', ', $version->table->sizes),
                    ]),
                );
            }
        }
    }

    /**
     * Further ones of the same: each takes what the first does, its main cloth perhaps from a cut of its own.
     *
     * @param list<Claim>                      $first
     * @param array<string, array{Cloth, Cut}> $cuts   by name
     * @param array<string, Person>            $people by id
     *
     * @return list<Copy>
     */
    private function copies(Entry $entry, array $first, array $cuts, array $people, ?Version $version): array
    {
        $copies = [];
        foreach ($entry->rows('copies') as $i) {
            $at = 'copies.'.$i.'.';
            if ('' === $entry->raw($at.'person').$entry->raw($at.'size').$entry->raw($at.'cut')) {
                continue;
            }
            [$size, $gradedTo] = [$this->size($entry, $at.'size'), $this->size($entry, $at.'gradedTo')];
            $this->inTable($entry, [$at.'size' => $size, $at.'gradedTo' => $gradedTo], $version);
            [$cloth, $cut] = $this->cut($entry, $at.'cut', $cuts);
            $copies[] = new Copy(
                $people[$entry->raw($at.'person')] ?? null,
                $size,
                $gradedTo === $size ? null : $gradedTo,
                array_map(
                    static fn (Claim $claim): Claim => null !== $cut && null !== $cloth && Role::Main === $claim->role
                        ? new Claim($claim->id.'×'.$i, $claim->role, $cloth, $cut)
                        : new Claim($claim->id.'×'.$i, $claim->role, $claim->cloth, $claim->cut, $claim->wish, cutOut: $claim->cutOut),
                    [] === $first ? [new Claim('×'.$i, Role::Main)] : $first,
                ),
            );
        }

        return $copies;
    }

    /**
     * The name of the cut a copy has its main cloth from, where it is not the first one's.
     *
     * @param array<string, string> $names by cut
     */
    private static function ownCut(Copy $copy, Option $option, array $names): string
    {
        $main = static function (array $claims): ?string {
            foreach ($claims as $claim) {
                if ($claim instanceof Claim && Role::Main === $claim->role) {
                    return $claim->cut?->id;
                }
            }

            return null;
        };
        $own = $main($copy->claims);

        return null === $own || $own === $main($option->claims) ? '' : $names[$own] ?? '';
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts by name
     *
     * @return array{?Cloth, ?Cut}
     */
    private function cut(Entry $entry, string $field, array $cuts): array
    {
        $typed = $entry->raw($field);
        if ('' === $typed) {
            return [null, null];
        }
        [$cloth, $cut] = $cuts[$this->meant($entry, $field, $typed, array_keys($cuts))] ?? [null, null];
        if (null === $cut && !isset($entry->faults()[$field])) {
            $entry->fault(
                $field,
                new Sentence('There is no cut called “{text}” in the stash: choose one from the list, or add the cloth first.', [
                    'text' => mb_substr($typed, 0, 60),
                ]),
            );
        }

        return [$cloth, $cut];
    }

    /** @return list<Alteration> */
    private function alterations(Entry $entry, System $system): array
    {
        $alterations = [];
        foreach ($entry->rows('alterations') as $i) {
            $name = $entry->text('alterations.'.$i.'.name', 120);
            $length = $entry->change('alterations.'.$i.'.length', $system->widthUnit());
            if (null !== $length) {
                $alterations[] = new Alteration(
                    '' === $name ? 'Alteration' : $name,
                    $length,
                    self::roles($entry->raw('alterations.'.$i.'.roles')),
                );
            } elseif ('' !== $name && '' === $entry->raw('alterations.'.$i.'.length')) {
                $entry->fault(
                    'alterations.'.$i.'.length',
                    new Sentence('How much longer does this make the lay? Type a length such as 5 cm, or empty the line.'),
                );
            }
        }

        return $alterations;
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts by name
     *
     * @return list<Claim>
     */
    private function claims(Entry $entry, string $project, array $cuts, System $system): array
    {
        $claims = [];
        foreach ($entry->rows('claims') as $i) {
            $at = 'claims.'.$i.'.';
            $from = $entry->raw($at.'from');
            [$cloth, $cut] = 'own' === $from ? $this->cut($entry, $at.'cut', $cuts) : [null, null];
            $wish = null;
            if ('buy' === $from) {
                $wish = new Wish(
                    '' === $entry->raw($at.'buy') ? 'Cloth for '.$entry->raw($at.'role') : $entry->text($at.'buy', 120),
                    $entry->attempt(
                        $at.'fibres',
                        static fn (): FibreMix => (new FibreReader())->read($entry->raw($at.'fibres'), Knowledge::Seller),
                    ) ?? FibreMix::unknown(),
                    $entry->choice($at.'structure', Structure::class) ?? Structure::Woven,
                    $entry->boolean($at.'oneWay'),
                    $entry->length($at.'repeat', $system->widthUnit()),
                    $entry->money($at.'price'),
                    $entry->length($at.'width', $system->widthUnit()),
                );
            }
            $stated = $entry->length($at.'stated', $system->lengthUnit());
            $claims[] = new Claim(
                $project.'#'.$i,
                $entry->choice($at.'role', Role::class) ?? Role::Main,
                $cloth,
                $cut,
                $wish,
                $stated,
                $entry->boolean($at.'cutOut'),
            );
        }

        return $claims;
    }
}
