<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

use Doctrine\ORM\EntityManagerInterface;

/** Reads the fields of records, so that a change to them can be compared and taken back. */
final class RecordState
{
    /** @var array<string, class-string> by table, once they were asked for */
    private array $classes = [];

    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    /**
     * @param iterable<object> $records with an id
     *
     * @return array<string, array<string, mixed>> by key() of each: field → value
     */
    public function read(iterable $records): array
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
                    $state[$this->key($record)][$field] = $this->field($record, $field);
                }
            }
        }

        return $state;
    }

    /** Names a record among stored changes: by its table, since a class may be called otherwise one day. */
    public function key(object $record): string
    {
        return $this->keyOf($record::class, $this->id($record));
    }

    /** @param class-string $class */
    public function keyOf(string $class, string $id): string
    {
        return $this->entities->getClassMetadata($class)->getTableName().' '.$id;
    }

    /** @return ?array{class-string, string} class and id; null of a table there is not, as another release may have had */
    public function split(string $key): ?array
    {
        if ([] === $this->classes) {
            foreach ($this->entities->getMetadataFactory()->getAllMetadata() as $metadata) {
                $this->classes[$metadata->getTableName()] = $metadata->getName();
            }
        }
        [$table, $id] = explode(' ', $key, 2) + [1 => ''];

        return isset($this->classes[$table]) ? [$this->classes[$table], $id] : null;
    }

    /** @return mixed the id of another record in place of that record */
    public function field(object $record, string $field): mixed
    {
        $metadata = $this->entities->getClassMetadata($record::class);
        $value = $metadata->getFieldValue($record, $field);

        return $metadata->hasAssociation($field) && \is_object($value) ? $this->id($value) : $value;
    }

    /** Sets a field to what field() has read. */
    public function set(object $record, string $field, mixed $value): void
    {
        $metadata = $this->entities->getClassMetadata($record::class);
        $metadata->setFieldValue(
            $record,
            $field,
            $metadata->hasAssociation($field) && \is_string($value)
                ? $this->entities->find($metadata->getAssociationTargetClass($field), $value)
                : $value,
        );
    }

    /** The name a record goes by, or that of what it belongs to. */
    public function name(object $record): string
    {
        $this->entities->initializeObject($record);
        $metadata = $this->entities->getClassMetadata($record::class);
        foreach (['name', 'title'] as $field) {
            $name = $metadata->hasField($field) ? $metadata->getFieldValue($record, $field) : null;
            if (\is_string($name) && '' !== $name) {
                return $name;
            }
        }
        foreach (['project', 'option', 'cloth', 'pattern', 'version'] as $field) {
            $whole = $metadata->hasAssociation($field) ? $metadata->getFieldValue($record, $field) : null;
            if (\is_object($whole)) {
                return $this->name($whole);
            }
        }

        return '…';
    }

    private function id(object $record): string
    {
        $id = $this->entities->getClassMetadata($record::class)->getFieldValue($record, 'id');

        return \is_string($id) ? $id : throw new \LogicException('A record has an id.');
    }
}
