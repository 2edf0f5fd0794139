<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostLoadEventArgs;
use Doctrine\ORM\Events;
use Symfony\Contracts\Service\ResetInterface;

/** A record that points to a row that is left out points to nothing while it is; what is stored stays as it is. */
#[AsDoctrineListener(Events::postLoad)]
final class UnreadableLinks implements ResetInterface
{
    /** @var ?array<string, true> by id */
    private ?array $ids = null;

    public function postLoad(PostLoadEventArgs $event): void
    {
        $entities = $event->getObjectManager();
        if (!$entities->getFilters()->isEnabled(UnreadableFilter::NAME)) {
            return;
        }
        $this->ids ??= array_fill_keys(array_filter(
            $entities->getConnection()->fetchFirstColumn('SELECT id FROM unreadable'),
            is_string(...),
        ), true);
        $record = $event->getObject();
        $metadata = $entities->getClassMetadata($record::class);
        foreach ($metadata->getAssociationNames() as $field) {
            $linked = $metadata->isSingleValuedAssociation($field) ? $metadata->getFieldValue($record, $field) : null;
            $id = \is_object($linked) ? $entities->getUnitOfWork()->getSingleIdentifierValue($linked) : null;
            if (!\is_string($id) || !isset($this->ids[$id])) {
                continue;
            }
            $property = $metadata->getReflectionClass()->getProperty($field);
            if (!$property->isReadOnly() && false !== $property->getType()?->allowsNull()) {
                $metadata->setFieldValue($record, $field, null);
                // so that nothing of it is written
                $entities->getUnitOfWork()->setOriginalEntityProperty(spl_object_id($record), $field, null);
            }
        }
    }

    public function reset(): void
    {
        $this->ids = null;
    }
}
