<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Haul\HaulLine;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Symfony\Component\Clock\ClockInterface;

/** Puts what was read from lines or a table into the stash, and takes the last lot out again. */
final readonly class HaulStore
{
    public function __construct(
        private ChangeLog $changes,
        private ClothMapper $mapper,
        private AccountSettings $settings,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param list<HaulLine> $lines
     * @param Notice         $notice of all of them
     */
    public function put(array $lines, Account $account, Notice $notice): void
    {
        $this->changes->commit([], function () use ($lines, $account): array {
            $assumptions = $this->settings->load($account)->assumptions;
            $made = [];
            foreach ($lines as $line) {
                $record = new ClothRecord($account);
                $cloth = $line->cloth($assumptions, $this->clock->now()->setTime(0, 0));
                $this->mapper->store($cloth, $record, $assumptions);
                foreach ($cloth->cuts as $cut) {
                    $this->mapper->storeCut($cut, new CutRecord($record));
                }
                array_push($made, $record, ...$record->cuts);
            }

            return $made;
        }, $notice);
    }
}
