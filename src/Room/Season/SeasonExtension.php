<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\SeasonRecord;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** What every room shows: the seasons of whoever is looking, and whether pieces of short projects are being laid. */
final class SeasonExtension extends AbstractExtension
{
    public function __construct(private readonly Security $security, private readonly PlanLoader $plan, private readonly CachedLays $lays)
    {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('seasons', $this->seasons(...)),
            // pieces that this page asked for are laid in the background now
            new TwigFunction('is_laying', $this->lays->isMissingAny(...)),
        ];
    }

    /** @return list<SeasonRecord> */
    private function seasons(): array
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $this->plan->seasons($account) : [];
    }
}
