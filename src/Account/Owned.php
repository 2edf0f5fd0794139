<?php

declare(strict_types=1);

namespace Octavum\Account;

/** A stored thing that belongs to one account. */
interface Owned
{
    /** @var ?string the association to what it is part of; null for what belongs to the account itself. Both are read in one query. */
    public const PART_OF = null;

    /** Whether the account can open it: it is the account's own, and neither it nor what it is part of was taken out. */
    public function isOpenTo(Account $account): bool;
}
