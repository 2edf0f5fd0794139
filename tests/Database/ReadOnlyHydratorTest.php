<?php

declare(strict_types=1);

namespace Octavum\Tests\Database;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Assumptions;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\ClothRepository;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;
use Octavum\Tests\QueryCounter;
use Octavum\Tools\LargeWorkroom;

final class ReadOnlyHydratorTest extends PageTestCase
{
    public function testAGlanceSeesWhatTheOrmSees(): void
    {
        $account = $this->account();
        foreach ([null, (new LargeWorkroom(5))->make(30, 45, 5, 5)] as $workroom) {
            $whose = null === $workroom ? $this->demo() : $this->fresh($account);
            if (null !== $workroom) {
                $this->service(Workrooms::class)->replace($whose, $workroom);
            }
            $mapper = $this->service(ClothMapper::class);
            $map = static fn (ClothRecord $record): Cloth => $mapper->cloth($record, new Assumptions());
            $repository = $this->service(ClothRepository::class);
            $seen = array_map($map, $repository->glance($this->fresh($whose)));
            self::assertEquals(array_map($map, $repository->allOf($this->fresh($whose))), $seen);
            self::assertCount(null === $workroom ? 42 : 30, $seen);
        }
    }

    public function testAGlanceIsTwoQueriesAndItsRecordsAreNotManaged(): void
    {
        $account = $this->fresh($this->demo());
        $repository = $this->service(ClothRepository::class);
        self::assertSame(2, QueryCounter::during(static fn () => $repository->glance($account)));
        $record = $repository->glance($account)[0];
        $name = $record->name;
        $record->name = 'Changed in passing';
        $this->service(\Doctrine\ORM\EntityManagerInterface::class)->flush();
        self::assertSame($name, $repository->hereOf($this->fresh($account), $record->id)?->name);
    }
}
