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
 * Takes one change to records back, and nothing that was written since: a field is put back only while it is as the change
 * left it, entries that the change added to a list are taken out of it, and a number that counts is changed by as much.
 */
final readonly class TakeBack
{
    private const MOST = 30;

    /** In the place of a field: the record was not there before. */
    private const MADE = '';

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
     * After the change is saved: what it did, kept until thirty others have followed.
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
                $changes[] = [$record, self::MADE, null, null, false];
                continue;
            }
            foreach ($fields as $field => $after) {
                $was = $before[$record][$field] ?? null;
                if (!self::same($was, $after)) {
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

    /** Whether there was something to take back. */
    public function undo(string $key): bool
    {
        $changes = $this->take($key);
        foreach ($changes as [$name, $field, $before, $after, $counts]) {
            [$class, $id] = explode(' ', $name, 2);
            /** @var class-string $class */
            $record = $this->entities->find($class, $id);
            if (null !== $record && self::MADE === $field) {
                $this->entities->remove($record);
            } elseif (null !== $record) {
                $this->entities->initializeObject($record);
                $metadata = $this->entities->getClassMetadata($class);
                $value = self::without($this->read($metadata, $record, $field), $before, $after, $counts);
                $metadata->setFieldValue(
                    $record,
                    $field,
                    $metadata->hasAssociation($field) && \is_string($value)
                        ? $this->entities->find($metadata->getAssociationTargetClass($field), $value)
                        : $value,
                );
            }
        }
        $this->entities->flush();

        return [] !== $changes;
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

    private static function without(mixed $now, mixed $before, mixed $after, bool $counts): mixed
    {
        if (self::same($now, $after)) {
            return $before;
        }
        if ($counts && \is_int($now) && \is_int($before) && \is_int($after)) {
            return max(0, $now + $before - $after);
        }
        if (
            !\is_array($now)
            || !\is_array($before)
            || !\is_array($after)
            || !array_is_list($now)
            || !array_is_list($before)
            || !array_is_list($after)
        ) {
            return $now;
        }
        foreach (self::missing($after, $before) as $added) {
            $alike = array_keys(array_filter($now, static fn (mixed $entry): bool => self::same($entry, $added)));
            unset($now[end($alike)]);
        }

        return [...self::missing($before, $after), ...array_values($now)];
    }

    /**
     * @param list<mixed> $all
     * @param list<mixed> $others
     *
     * @return list<mixed> those of all that are not among the others, each as often
     */
    private static function missing(array $all, array $others): array
    {
        foreach ($others as $other) {
            $alike = array_keys(array_filter($all, static fn (mixed $entry): bool => self::same($entry, $other)));
            unset($all[reset($alike)]);
        }

        return array_values($all);
    }

    /** Of times to the second, as they are stored. */
    private static function same(mixed $a, mixed $b): bool
    {
        $plain = static fn (mixed $value): mixed => $value instanceof \DateTimeInterface ? $value->format('c') : $value;

        return serialize($plain($a)) === serialize($plain($b));
    }

    /** @return list<array{string, string, mixed, mixed, bool}> */
    private function take(string $key): array
    {
        $of = [$key, $this->account()];
        $kept = $this->entities->getConnection()->fetchOne('SELECT changes FROM undo WHERE "key" = ? AND account_id = ?', $of);
        if (
            !\is_string($kept)
            || 1 !== $this->entities->getConnection()->executeStatement('DELETE FROM undo WHERE "key" = ? AND account_id = ?', $of)
        ) {
            return [];
        }
        /** @var list<array{string, string, mixed, mixed, bool}> $changes */
        $changes = unserialize($kept);

        return $changes;
    }

    private function account(): string
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $account->id : throw new \LogicException('Only an account changes anything.');
    }
}
