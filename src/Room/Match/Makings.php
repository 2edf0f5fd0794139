<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Body\Person;
use Octavum\Core\Match\Making;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Sewn;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Plan\PlanLoader;

/** What an account could make: the versions in the house, in the size each comes in for a person. */
final readonly class Makings
{
    public function __construct(private Library $library, private PlanLoader $plan, private AccountSettings $settings)
    {
    }

    /** @return list<Making> */
    public function find(Account $account, ?Person $person, Filter $filter): array
    {
        $sewn = new Sewn($this->plan->drawn($account));
        $sewist = $this->settings->load($account)->sewist->having($sewn->made(), $filter->days);
        $makings = Making::all($this->library->all($account), $person, $sewist, $sewn->usual($person));

        return array_values(array_filter($makings, $filter->lets(...)));
    }

    public function one(Account $account, Pattern $pattern, Version $version, ?Person $person): Making
    {
        $sewn = new Sewn($this->plan->drawn($account));
        $sewist = $this->settings->load($account)->sewist->having($sewn->made());

        return Making::of($pattern, $version, $person, $sewist, $sewn->usual($person));
    }

    /**
     * Who was asked for, or is sewn for most.
     *
     * @param array<string, Person> $people by id
     */
    public function person(Account $account, array $people, string $asked): ?Person
    {
        return $people[$asked] ?? (new Sewn($this->plan->drawn($account)))->mostFor($people);
    }
}
