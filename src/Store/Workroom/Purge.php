<?php

declare(strict_types=1);

namespace Octavum\Store\Workroom;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** Ends what was taken out a year ago and is named by nothing any more: until then taking out can be undone. */
final readonly class Purge
{
    private const AFTER = '-1 year';

    /** What must hold of a row of a table, called r, so that nothing loses by its end; parts before their wholes. */
    private const UNUSED = [
        'lay' => 'NOT EXISTS (SELECT 1 FROM claim c WHERE c.lay_id = r.id)',
        'notion' => '1 = 1',
        'sewing_list' => '1 = 1',
        'project_option' => 'NOT EXISTS (SELECT 1 FROM project p WHERE p.current_id = r.id)',
        'project' => '1 = 1',
        'cut' => 'NOT EXISTS (SELECT 1 FROM claim c WHERE c.cut_id = r.id)',
        'cloth' => 'NOT EXISTS (SELECT 1 FROM claim c JOIN cut k ON k.id = c.cut_id WHERE k.cloth_id = r.id)',
        'version' => 'NOT EXISTS (SELECT 1 FROM project_option o WHERE o.version_id = r.id)',
        'pattern' => 'NOT EXISTS (SELECT 1 FROM project_option o JOIN version v ON v.id = o.version_id WHERE v.pattern_id = r.id)',
        'person' => 'NOT EXISTS (SELECT 1 FROM project p WHERE p.person_id = r.id)
            AND NOT EXISTS (SELECT 1 FROM project_copy c WHERE c.person_id = r.id)',
    ];

    public function __construct(private Connection $connection, private ClockInterface $clock)
    {
    }

    /** @return int how many rows, without their parts */
    public function purge(): int
    {
        $before = $this->clock->now()->modify(self::AFTER)->format('Y-m-d H:i:s');

        return $this->connection->transactional(function () use ($before): int {
            $purged = 0;
            foreach (self::UNUSED as $table => $unused) {
                $ids = \sprintf('SELECT r.id FROM %s r WHERE r.removed_at < ? AND %s', $table, $unused);
                $purged += (int) $this->connection->executeStatement('DELETE FROM '.$table.' WHERE id IN ('.$ids.')', [$before]);
            }

            return $purged;
        });
    }
}
