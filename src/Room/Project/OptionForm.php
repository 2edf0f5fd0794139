<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Document\Codec\ProjectCodec;
use Octavum\Input\Entry;

/** The form of a way to make a project, the leading one or another: what its fields show, and what was typed into them. */
final readonly class OptionForm
{
    public function __construct(private AccountSettings $settings, private ClaimForm $claims, private PartForm $parts)
    {
    }

    /** @return array<string, mixed> by field, as typed */
    public function values(Option $option, Choices $choices, System $system): array
    {
        $tape = new LengthFormatter($system);
        $cutNames = [];
        foreach ($choices->cuts as $name => [, $cut]) {
            $cutNames[$cut->id] = $name;
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
            'claims' => $this->claims->values($option->claims, $cutNames, $tape),
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
            'parts' => $this->parts->values($option->parts, $choices),
        ];
    }

    /** @param array<string, Person> $people by id */
    public function read(Entry $entry, string $id, Choices $choices, Account $account, array $people): Option
    {
        $system = $this->settings->load($account)->system;
        [$pattern, $version] = $this->parts->version($entry, 'version', $choices, $account) ?? [null, null];
        $size = $this->size($entry, 'size');
        $gradedTo = $this->size($entry, 'gradedTo');
        $this->parts->inTable($entry, ['size' => $size, 'gradedTo' => $gradedTo], $version);

        $claims = $this->claims->read($entry, $id, $choices->cuts, $system);
        $largest = null === $size ? '' : $version?->table->largest($size, $gradedTo) ?? $size;

        return new Option(
            $id,
            $pattern,
            $version,
            size: $size,
            gradedTo: $gradedTo === $size ? null : $gradedTo,
            minutes: $entry->minutes('hours', Entry::MOST_MINUTES),
            alterations: $this->alterations($entry, $system),
            claims: $claims,
            matching: $entry->choice('matching', Matching::class),
            leftOut: array_map(static fn (string $i): string => $entry->text('leftOut.'.$i, 120), $entry->rows('leftOut')),
            declined: array_values(
                array_filter(
                    array_map(static fn (string $i): ?Role => $entry->choice('declined.'.$i, Role::class), $entry->rows('declined')),
                ),
            ),
            when: $entry->text('when', 200),
            copies: $this->copies($entry, $claims, $choices->cuts, $people, $version),
            parts: $this->parts->read($entry, $choices, $account, $version, $largest),
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

    private function size(Entry $entry, string $field): ?string
    {
        $size = $entry->text($field, 20);

        return '' === $size ? null : $size;
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
        foreach ($entry->rows('copies', ProjectCodec::MOST) as $i) {
            $at = 'copies.'.$i.'.';
            if ('' === $entry->raw($at.'person').$entry->raw($at.'size').$entry->raw($at.'cut')) {
                continue;
            }
            [$size, $gradedTo] = [$this->size($entry, $at.'size'), $this->size($entry, $at.'gradedTo')];
            $this->parts->inTable($entry, [$at.'size' => $size, $at.'gradedTo' => $gradedTo], $version);
            [$cloth, $cut] = $this->claims->cut($entry, $at.'cut', $cuts);
            $copies[] = new Copy(
                $people[$entry->raw($at.'person')] ?? null,
                $size,
                $gradedTo === $size ? null : $gradedTo,
                array_map(
                    static fn (Claim $claim): Claim => null !== $cut && null !== $cloth && Role::Main === $claim->role
                        ? new Claim($claim->id.'×'.$i, $claim->role, $cloth, $cut, pieces: $claim->pieces)
                        : new Claim(
                            $claim->id.'×'.$i,
                            $claim->role,
                            $claim->cloth,
                            $claim->cut,
                            $claim->wish,
                            cutOut: $claim->cutOut,
                            pieces: $claim->pieces,
                        ),
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
}
