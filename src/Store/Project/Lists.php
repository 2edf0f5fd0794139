<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Season\Lists\ListDates;
use Octavum\Core\Season\Lists\SewingList;

/** An account's lists: stored ones to the core's and back. */
final readonly class Lists
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return list<SewingList> the oldest first */
    public function all(Account $account): array
    {
        return array_map(
            $this->list(...),
            $this->entities->getRepository(ListRecord::class)->findBy(['account' => $account, 'removedAt' => null], ['id' => 'ASC']),
        );
    }

    public function list(ListRecord $record): SewingList
    {
        return new SewingList(
            $record->id,
            $record->name,
            new ListDates($record->starts, $record->closes),
            target: $record->target,
            rule: $record->rule,
            subject: $record->subject,
            projects: $record->projects,
            notes: $record->notes,
        );
    }

    public function store(SewingList $list, ListRecord $record): void
    {
        $record->name = $list->name;
        $record->starts = $list->dates->starts;
        $record->closes = $list->dates->closes;
        $record->target = $list->target;
        $record->rule = $list->rule;
        $record->subject = $list->subject;
        $record->projects = $list->projects;
        $record->notes = $list->notes;
    }
}
