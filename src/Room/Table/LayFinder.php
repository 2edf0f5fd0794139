<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Laid\SavedLay;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Lay\LayRepository;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The saved lays of an account. */
final readonly class LayFinder
{
    public function __construct(private LayRepository $lays, private LayMapper $mapper, private AccountSettings $settings)
    {
    }

    /** @throws NotFoundHttpException when the account has none of that id, or has put it away */
    public function record(Account $account, string $id): LayRecord
    {
        return $this->lays->hereOf($account, $id) ?? throw new NotFoundHttpException();
    }

    public function lay(LayRecord $record): SavedLay
    {
        return $this->mapper->lay($record, new IdentityMap($this->settings->load($record->account)->assumptions));
    }
}
