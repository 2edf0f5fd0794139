<?php

declare(strict_types=1);

namespace Octavum\Account;

/** What every Owned record has that names its account itself and can be taken out. */
trait OwnedByAccount
{
    public function isOpenTo(Account $account): bool
    {
        return $this->account->id === $account->id && null === $this->removedAt;
    }
}
