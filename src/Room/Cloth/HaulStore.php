<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Haul\HaulLine;
use Octavum\Store\ClothMapper;
use Octavum\Store\ClothRecord;
use Octavum\Store\CutRecord;
use Octavum\Store\LastBrought;
use Symfony\Component\Clock\ClockInterface;

/** Puts what was read from lines or a table into the stash, and takes the last lot out again. */
final readonly class HaulStore
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ClothMapper $mapper,
        private AccountSettings $settings,
        private ClockInterface $clock,
        private LastBrought $last,
    ) {
    }

    /** @param list<HaulLine> $lines */
    public function put(array $lines, Account $account): void
    {
        $assumptions = $this->settings->of($account)->assumptions;
        $added = [];
        foreach ($lines as $line) {
            $record = new ClothRecord($account);
            $cloth = $line->cloth($assumptions, $this->clock->now()->setTime(0, 0));
            $this->mapper->store($cloth, $record, $assumptions);
            foreach ($cloth->cuts as $cut) {
                $this->mapper->storeCut($cut, new CutRecord($record));
            }
            $this->entities->persist($record);
            $added[] = $record->id;
        }
        $this->entities->flush();
        $this->last->keep(ClothRecord::class, $added);
    }

    public function takeOut(Account $account): void
    {
        $this->last->takeOut(ClothRecord::class, $account);
    }
}
