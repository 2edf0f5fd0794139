<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PostLoadEventArgs;
use Doctrine\ORM\Events;

/** A record that points to a row that is left out points to nothing while it is; what is stored stays as it is. */
#[AsDoctrineListener(Events::postLoad)]
final readonly class UnreadableLinks
{
    public function __construct(private UnreadableIds $unreadable)
    {
    }

    public function postLoad(PostLoadEventArgs $event): void
    {
        $entities = $event->getObjectManager();
        if (!$entities->getFilters()->isEnabled(UnreadableFilter::NAME)) {
            return;
        }
        $record = $event->getObject();
        $metadata = $entities->getClassMetadata($record::class);
        foreach ($metadata->getAssociationNames() as $field) {
            $linked = $metadata->isSingleValuedAssociation($field) ? $metadata->getFieldValue($record, $field) : null;
            $id = \is_object($linked) ? $entities->getUnitOfWork()->getSingleIdentifierValue($linked) : null;
            if (!\is_string($id) || !$this->unreadable->has($entities, $id)) {
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
}
