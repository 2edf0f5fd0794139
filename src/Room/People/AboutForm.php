<?php

declare(strict_types=1);

namespace Octavum\Room\People;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Body\Fact;
use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Body\Person;
use Octavum\Core\Piece\Garment;
use Octavum\Input\Entry;

/** The form about a person, all but the measurements: what its fields show, and what was typed into them. */
final readonly class AboutForm
{
    private const MOST_FACTS = 30;

    public function __construct(private AccountSettings $settings)
    {
    }

    /** @return array<string, mixed> by field, as typed */
    public function values(Person $person): array
    {
        $tape = $this->settings->tape();

        return [
            'name' => $person->name,
            'notes' => $person->notes,
            'child' => $person->child ? '1' : '',
            'likings' => array_map(static fn (Liking $liking): string => $liking->value, $person->likings),
            'facts' => array_map(static fn (Fact $fact): array => [
                'garment' => $fact->garment,
                'name' => $fact->name,
                'length' => null === $fact->length ? '' : $tape->typed($fact->length, small: true),
            ], $person->facts),
        ];
    }

    public function read(Entry $entry, Person $person, Account $account): Person
    {
        return new Person(
            $person->id,
            $entry->name('name'),
            $entry->boolean('child'),
            notes: $entry->text('notes'),
            measured: $person->measured,
            likings: $this->likings($entry),
            facts: $this->facts($entry, $account),
        );
    }

    /** @return array<string, Liking> by feature */
    private function likings(Entry $entry): array
    {
        $likings = [];
        foreach (Feature::cases() as $feature) {
            $likings[$feature->value] = $entry->choice('likings.'.$feature->value, Liking::class);
        }

        return array_filter($likings);
    }

    /** @return list<Fact> */
    private function facts(Entry $entry, Account $account): array
    {
        $facts = [];
        foreach (\array_slice($entry->rows('facts'), 0, self::MOST_FACTS) as $i) {
            $at = 'facts.'.$i.'.';
            if ('' !== $entry->raw($at.'name').$entry->raw($at.'length')) {
                $facts[] = new Fact(
                    $entry->name($at.'name'),
                    $entry->change($at.'length', $this->settings->load($account)->system->widthUnit()),
                    $entry->choice($at.'garment', Garment::class)->value ?? '',
                );
            }
        }

        return $facts;
    }
}
