<?php

declare(strict_types=1);

namespace Octavum\Tests\Store\Workroom;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Store\Workroom\Purge;
use Octavum\Tests\PageTestCase;

final class PurgeTest extends PageTestCase
{
    public function testWhatWasTakenOutAYearAgoEndsUnlessSomethingNamesIt(): void
    {
        $account = $this->demo();
        $workroom = $this->workroom($account);
        $cloths = static fn (Project $project): array => array_values(array_filter(
            array_map(static fn (Claim $claim): string => $claim->cloth->id ?? '', $project->current->claims),
            static fn (string $id): bool => '' !== $id,
        ));
        $used = array_merge(...array_map($cloths, $workroom->projects));
        $free = array_values(array_filter($workroom->cloths, static fn (Cloth $cloth): bool => !\in_array($cloth->id, $used, true)));
        $this->takenOut('cloth', $used[0], '-2 years');
        $this->takenOut('cloth', $free[0]->id, '-2 years');
        $this->takenOut('cloth', $free[1]->id, '-11 months');
        $without = array_filter($workroom->projects, static fn (Project $project): bool => !\in_array($used[0], $cloths($project), true));
        $other = array_values($without)[0];
        $this->takenOut('project', $other->id, '-2 years');
        self::assertSame(2, $this->service(Purge::class)->purge());
        self::assertTrue($this->has('cloth', $used[0]), 'a project names it');
        self::assertSame([false, true], [$this->has('cloth', $free[0]->id), $this->has('cloth', $free[1]->id)]);
        self::assertFalse($this->has('project', $other->id));
        self::assertSame([], $this->service(Connection::class)->fetchAllAssociative('PRAGMA foreign_key_check'));
        self::assertSame(0, $this->service(Purge::class)->purge());
    }

    private function takenOut(string $table, string $id, string $when): void
    {
        $at = (new \DateTimeImmutable($when))->format('Y-m-d H:i:s');
        $this->service(Connection::class)->executeStatement('UPDATE '.$table.' SET removed_at = ? WHERE id = ?', [$at, $id]);
        $this->service(EntityManagerInterface::class)->clear();
    }

    private function has(string $table, string $id): bool
    {
        return false !== $this->service(Connection::class)->fetchOne('SELECT 1 FROM '.$table.' WHERE id = ?', [$id]);
    }
}
