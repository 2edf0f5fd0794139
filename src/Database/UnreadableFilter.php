<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Query\Filter\SQLFilter;

/** Leaves rows out that were found unreadable, wherever the ORM reads: a broken value stops no more than its own page. */
final class UnreadableFilter extends SQLFilter
{
    public const NAME = 'unreadable';

    /** @param ClassMetadata<object> $targetEntity */
    public function addFilterConstraint(ClassMetadata $targetEntity, string $targetTableAlias): string
    {
        return \in_array(Identified::class, class_uses($targetEntity->getName()), true)
            ? $targetTableAlias.'.id NOT IN (SELECT id FROM unreadable)'
            : '';
    }
}
