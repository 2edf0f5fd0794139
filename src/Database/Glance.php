<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\ParameterType;
use Doctrine\DBAL\Types\Type;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Reads rows into records that nobody manages: for pages that only look at many, and several times faster than the
 * ORM's own hydration, which keeps a copy of each row and looks for every object's double. What is changed on such a
 * record is never saved.
 */
final readonly class Glance
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @template T of object
     *
     * @param class-string<T>                                            $class
     * @param string                                                     $where what follows FROM the class's table, called r
     * @param array<string, string|list<string>>                         $with  parameters
     * @param \Closure(array<string, mixed>): array<string, object|null> $links what the record's associations are, from its row
     *
     * @return array<string, T> by id, in the order asked for
     */
    public function at(string $class, string $where, array $with, \Closure $links): array
    {
        $metadata = $this->entities->getClassMetadata($class);
        $platform = $this->entities->getConnection()->getDatabasePlatform();
        $fields = [];
        foreach ($metadata->fieldMappings as $name => $mapping) {
            $type = Type::getType($mapping->type);
            $enum = $mapping->enumType;
            $fields[] = [
                $metadata->getReflectionClass()->getProperty($name),
                $mapping->columnName,
                match (true) {
                    null !== $enum && is_subclass_of($enum, \BackedEnum::class) => static fn (mixed $value): ?\BackedEnum => \is_string(
                        $value,
                    ) || \is_int($value)
                        ? $enum::from($value)
                        : null,
                    \in_array($mapping->type, ['string', 'text', 'integer'], true) => null,
                    'bigint' === $mapping->type => null,
                    default => static fn (mixed $value): mixed => $type->convertToPHPValue($value, $platform),
                },
            ];
        }
        $found = [];
        foreach (
            $this->entities
                ->getConnection()
                ->executeQuery('SELECT r.* FROM '.$metadata->getTableName().' r '.$where, $with, array_map(
                    static fn (string|array $one): ArrayParameterType|ParameterType => \is_array($one)
                        ? ArrayParameterType::STRING
                        : ParameterType::STRING,
                    $with,
                ))
                ->iterateAssociative() as $row
        ) {
            $record = $metadata->getReflectionClass()->newInstanceWithoutConstructor();
            foreach ($fields as [$property, $column, $convert]) {
                $property->setValue($record, null === $convert ? $row[$column] : $convert($row[$column]));
            }
            foreach ($links($row) as $name => $other) {
                $link = $metadata->getReflectionClass()->getProperty($name);
                if (null === $other && false === $link->getType()?->allowsNull()) {
                    // written between two reads of one look, with what it belongs to: the next look has both
                    continue 2;
                }
                $link->setValue($record, $other);
            }
            $id = $row['id'];
            $found[\is_string($id) ? $id : ''] = $record;
        }

        return $found;
    }
}
