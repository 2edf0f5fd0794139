<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\SeasonRecord;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Attribute\AsTwigFunction;

/** What every room shows: the seasons of whoever is looking, and whether pieces of short projects are being laid. Loaded when called. */
final readonly class SeasonExtension
{
    public function __construct(private Security $security, private PlanLoader $plan, private CachedLays $lays)
    {
    }

    /** @return list<SeasonRecord> */
    #[AsTwigFunction('seasons')]
    public function seasons(): array
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $this->plan->seasons($account) : [];
    }

    /** Pieces that this page asked for are laid in the background now. */
    #[AsTwigFunction('is_laying')]
    public function isLaying(): bool
    {
        return $this->lays->isMissingAny();
    }
}
