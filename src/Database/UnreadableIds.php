<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;

/** The rows that are left out of what is read now, looked up once a request. */
final class UnreadableIds implements ResetInterface
{
    /** @var ?array<string, true> by id */
    private ?array $ids = null;

    /** Whether a row is left out; no row is while the filter is off. */
    public function has(EntityManagerInterface $entities, string $id): bool
    {
        if (!$entities->getFilters()->isEnabled(UnreadableFilter::NAME)) {
            return false;
        }
        $this->ids ??= array_fill_keys(array_filter(
            $entities->getConnection()->fetchFirstColumn('SELECT id FROM unreadable'),
            is_string(...),
        ), true);

        return isset($this->ids[$id]);
    }

    public function reset(): void
    {
        $this->ids = null;
    }
}
