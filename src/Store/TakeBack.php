<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Octavum\Account\Account;
use Octavum\Database\Newest;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Uid\Ulid;

/**
 * Takes one change to records back, whole or not at all. Where a field, or what the change made, was changed since, or where something
 * that came later points to what it made, nothing is changed, and the answer names it. Entries that the change added to a list are taken
 * out of it, a number that counts is changed by as much, and what follows from other rows (the place in the list) stays as it is now.
 * Longer than other files: what a change did, whether it can be undone, and undoing it are read together.
 */
final readonly class TakeBack
{
    private const MOST = 100;

    /** In the place of a field: the record was not there before. */
    private const MADE = '';

    /** Follow from other rows, or count changes: of no weight where they are another now. */
    private const FOLLOWS = ['rank', 'changes'];

    public function __construct(private EntityManagerInterface $entities, private Security $security, private Newest $newest)
    {
    }

    /**
     * @param list<object> $records with an id
     *
     * @return array<string, array<string, mixed>> class and id → field → value
     */
    public function state(array $records): array
    {
        $state = [];
        foreach ($records as $record) {
            // one that was only pointed to has no fields yet
            $this->entities->initializeObject($record);
            $metadata = $this->entities->getClassMetadata($record::class);
            foreach (
                [
                    ...$metadata->getFieldNames(),
                    ...array_filter($metadata->getAssociationNames(), $metadata->isSingleValuedAssociation(...)),
                ] as $field
            ) {
                if (!\in_array($field, ['id', 'revision'], true)) {
                    $state[$metadata->getName().' '.$this->id($record)][$field] = $this->read($metadata, $record, $field);
                }
            }
        }

        return $state;
    }

    /**
     * After the change is saved: what it did, kept until a hundred others have followed.
     *
     * @param array<string, array<string, mixed>> $before  as state() gave it
     * @param list<object>                        $records the same, and those that the change has made
     * @param list<string>                        $counts  fields that hold an amount
     *
     * @return string a key for undo()
     */
    public function keep(array $before, array $records, array $counts = []): string
    {
        $changes = [];
        foreach ($this->state($records) as $record => $fields) {
            if (!isset($before[$record])) {
                [$class, $id] = explode(' ', $record, 2);
                $changes[] = [$record, self::MADE, $this->pointing($class, $id), $fields, false];
                continue;
            }
            foreach ($fields as $field => $after) {
                $was = $before[$record][$field] ?? null;
                if (!FieldChange::same($was, $after)) {
                    $changes[] = [$record, $field, $was, $after, \in_array($field, $counts, true)];
                }
            }
        }
        $key = (string) new Ulid();
        $this->entities->getConnection()->insert(
            'undo',
            ['"key"' => $key, 'account_id' => $this->account(), 'changes' => serialize($changes)],
            ['changes' => ParameterType::LARGE_OBJECT],
        );
        $this->newest->keepOnly(self::MOST, 'undo', $this->account());

        return $key;
    }

    /**
     * The changes that are kept, the newest first.
     *
     * @return list<array{at: \DateTimeImmutable, message: string, with: array<string, string>, undo: string, isUndone: bool}>
     */
    public function changes(Account $account): array
    {
        $rows = $this->entities->getConnection()->fetchAllAssociative(
            'SELECT "key", says, undone FROM undo WHERE account_id = ? AND says IS NOT NULL ORDER BY "key" DESC',
            [$account->id],
        );

        return array_map(static function (array $row): array {
            $key = \is_string($row['key']) ? $row['key'] : '';
            /** @var array{string, array<string, string>, string} $says */
            $says = json_decode(\is_string($row['says']) ? $row['says'] : '', true, 8, \JSON_THROW_ON_ERROR);

            return [
                'at' => (new Ulid($key))->getDateTime(),
                'message' => $says[0],
                'with' => $says[1],
                'undo' => $says[2],
                'isUndone' => 0 !== $row['undone'],
            ];
        }, $rows);
    }

    public function undo(string $key): TakenBack
    {
        return $this->entities->getConnection()->transactional(function () use ($key): TakenBack {
            $changes = $this->kept($key);
            if (null === $changes) {
                return new TakenBack(false, 'There is nothing left to undo.');
            }
            if ([] === $changes) {
                return new TakenBack(false, 'That is undone already.');
            }
            $made = array_column(array_filter($changes, static fn (array $change): bool => self::MADE === $change[1]), 0);
            $sets = [];
            foreach ($changes as [$name, $field, $before, $after, $counts]) {
                [$class, $id] = explode(' ', $name, 2);
                /** @var class-string $class */
                $record = $this->entities->find($class, $id);
                if (null === $record) {
                    if (self::MADE === $field || \in_array($field, self::FOLLOWS, true)) {
                        continue;
                    }

                    return new TakenBack(false, 'Something that was changed then is no longer there, so nothing is undone.');
                }
                $this->entities->initializeObject($record);
                $metadata = $this->entities->getClassMetadata($class);
                if (self::MADE === $field) {
                    $later = $this->later($name, (array) $before, $changes, $made);
                    $isChanged = \is_array($after) && !self::alike($this->state([$record])[$name], $after);
                    if ($isChanged || (null !== $later && $this->called($later) === $this->called($record))) {
                        return $this->changed($record);
                    }
                    if (null !== $later) {
                        return new TakenBack(false, '{made} is used by {other} now, so nothing is undone. Change that first.', [
                            'made' => $this->called($record),
                            'other' => $this->called($later),
                        ]);
                    }
                    continue;
                }
                $now = $this->read($metadata, $record, $field);
                $sets[] = [$metadata, $record, $field, FieldChange::without($now, $before, $after, $counts)];
                if (!\in_array($field, self::FOLLOWS, true) && !FieldChange::isReversible($now, $before, $after, $counts)) {
                    return $this->changed($record);
                }
            }
            $this->apply($sets, $made);
            $this->entities->getConnection()->executeStatement('UPDATE undo SET undone = 1 WHERE "key" = ?', [$key]);

            return new TakenBack(true, 'That is undone.');
        });
    }

    /**
     * @param list<array{ClassMetadata<object>, object, string, mixed}> $sets what each field of a record is set to
     * @param list<string>                                              $made class and id of what goes
     */
    private function apply(array $sets, array $made): void
    {
        foreach ($sets as [$metadata, $record, $field, $value]) {
            $metadata->setFieldValue(
                $record,
                $field,
                $metadata->hasAssociation($field) && \is_string($value)
                    ? $this->entities->find($metadata->getAssociationTargetClass($field), $value)
                    : $value,
            );
        }
        // what pointed to what was made points elsewhere before that goes, which takes with it what points to it
        $this->entities->flush();
        foreach ($made as $name) {
            [$class, $id] = explode(' ', $name, 2);
            /** @var class-string $class */
            $record = $this->entities->find($class, $id);
            if (null !== $record) {
                $this->entities->remove($record);
            }
        }
        $this->entities->flush();
    }

    private function changed(object $record): TakenBack
    {
        return new TakenBack(false, '{name} was changed since, so nothing is undone. Undo the later change first.', [
            'name' => $this->called($record),
        ]);
    }

    /**
     * What came to point to a record that was made, and does not go with it.
     *
     * @param array<mixed>                                    $before  class and id of what pointed to it then
     * @param list<array{string, string, mixed, mixed, bool}> $changes
     * @param list<string>                                    $made    class and id
     */
    private function later(string $name, array $before, array $changes, array $made): ?object
    {
        [$class, $id] = explode(' ', $name, 2);
        $back = array_column(array_filter($changes, static fn (array $change): bool => $change[3] === $id && $change[2] !== $id), 0);
        foreach (array_diff($this->pointing($class, $id), array_filter($before, is_string(...)), $made, $back) as $other) {
            [$its, $itsId] = explode(' ', $other, 2);
            /** @var class-string $its */
            $record = $this->entities->find($its, $itsId);
            if (null !== $record) {
                return $record;
            }
        }

        return null;
    }

    /** @return list<string> class and id of every record that points to one */
    private function pointing(string $class, string $id): array
    {
        $pointing = [];
        foreach ($this->entities->getMetadataFactory()->getAllMetadata() as $metadata) {
            foreach ($metadata->getAssociationNames() as $field) {
                if (
                    !$metadata->isSingleValuedAssociation($field)
                    || $metadata->isAssociationInverseSide($field)
                    || !is_a($class, $metadata->getAssociationTargetClass($field), true)
                ) {
                    continue;
                }
                $query = \sprintf('SELECT r.id FROM %s r WHERE r.%s = :id', $metadata->getName(), $field);
                /** @var list<string> $ids */
                $ids = $this->entities->createQuery($query)->setParameter('id', $id)->getSingleColumnResult();
                foreach ($ids as $one) {
                    $pointing[] = $metadata->getName().' '.$one;
                }
            }
        }

        return $pointing;
    }

    /** The name a record goes by, or that of what it belongs to. */
    private function called(object $record): string
    {
        $this->entities->initializeObject($record);
        $metadata = $this->entities->getClassMetadata($record::class);
        foreach (['name', 'title'] as $field) {
            $name = $metadata->hasField($field) ? $metadata->getFieldValue($record, $field) : null;
            if (\is_string($name) && '' !== $name) {
                return $name;
            }
        }
        foreach (['project', 'cloth', 'pattern', 'version'] as $field) {
            $whole = $metadata->hasAssociation($field) ? $metadata->getFieldValue($record, $field) : null;
            if (\is_object($whole)) {
                return $this->called($whole);
            }
        }

        return '…';
    }

    /**
     * @param ClassMetadata<object> $metadata
     *
     * @return mixed the id of another record in place of that record
     */
    private function read(ClassMetadata $metadata, object $record, string $field): mixed
    {
        $value = $metadata->getFieldValue($record, $field);

        return $metadata->hasAssociation($field) && \is_object($value) ? $this->id($value) : $value;
    }

    private function id(object $record): string
    {
        $id = $this->entities->getUnitOfWork()->getSingleIdentifierValue($record);

        return \is_string($id) ? $id : throw new \LogicException('A record has an id.');
    }

    /**
     * @param array<string, mixed> $now
     * @param array<mixed>         $then
     */
    private static function alike(array $now, array $then): bool
    {
        foreach ($now as $field => $value) {
            if (\array_key_exists($field, $then) && !\in_array($field, self::FOLLOWS, true) && !FieldChange::same($value, $then[$field])) {
                return false;
            }
        }

        return true;
    }

    /** @return ?list<array{string, string, mixed, mixed, bool}> none when it is undone already, null when it is not kept */
    private function kept(string $key): ?array
    {
        $row = $this->entities->getConnection()->fetchAssociative(
            'SELECT changes, undone FROM undo WHERE "key" = ? AND account_id = ?',
            [$key, $this->account()],
        );
        if (false === $row || !\is_string($row['changes'])) {
            return null;
        }
        /** @var list<array{string, string, mixed, mixed, bool}> $changes */
        $changes = unserialize($row['changes']);

        return 0 === $row['undone'] ? $changes : [];
    }

    private function account(): string
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $account->id : throw new \LogicException('Only an account changes anything.');
    }
}
