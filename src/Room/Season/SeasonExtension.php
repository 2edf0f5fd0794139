<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Store\Plan;
use Octavum\Store\SeasonRecord;
use Symfony\Bundle\SecurityBundle\Security;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The seasons of whoever is looking, for the switch that stands in every room. */
final class SeasonExtension extends AbstractExtension
{
    public function __construct(private readonly Security $security, private readonly Plan $plan)
    {
    }

    public function getFunctions(): array
    {
        return [new TwigFunction('seasons', $this->seasons(...))];
    }

    /** @return list<SeasonRecord> */
    private function seasons(): array
    {
        $account = $this->security->getUser();

        return $account instanceof Account ? $this->plan->seasons($account) : [];
    }
}
