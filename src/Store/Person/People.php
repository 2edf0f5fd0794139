<?php

declare(strict_types=1);

namespace Octavum\Store\Person;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Body\Person;
use Octavum\Document\Codec\PersonCodec;
use Octavum\Document\Json\Node;

/** Those an account sews for, as stored and as the core knows them. */
final readonly class People
{
    public function __construct(private EntityManagerInterface $entities, private PersonCodec $codec)
    {
    }

    /** @return array<string, Person> by id, in the order of their names */
    public function all(Account $account): array
    {
        $people = [];
        foreach (
            $this->entities
                ->getRepository(PersonRecord::class)
                ->findBy(['account' => $account, 'removedAt' => null], ['name' => 'ASC', 'id' => 'ASC']) as $record
        ) {
            $people[$record->id] = $this->person($record);
        }

        return $people;
    }

    public function person(PersonRecord $record): Person
    {
        return new Person(
            $record->id,
            $record->name,
            $record->child,
            notes: $record->notes,
            measured: $this->codec->measured(Node::stored($record->measured, 'person '.$record->id)),
            likings: [] === $record->likings ? [] : $this->codec->likings(Node::stored($record->likings, 'person '.$record->id)),
            facts: [] === $record->facts ? [] : $this->codec->facts(Node::stored($record->facts, 'person '.$record->id)),
        );
    }

    public function store(Person $person, PersonRecord $record): void
    {
        $record->name = $person->name;
        $record->child = $person->child;
        $record->notes = $person->notes;
        $record->measured = $this->codec->writeMeasured($person->measured);
        $record->likings = $this->codec->writeLikings($person->likings);
        $record->facts = $this->codec->writeFacts($person->facts);
    }
}
