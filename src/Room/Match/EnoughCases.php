<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Project;
use Octavum\Core\Remedy\Shortfall;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Store\Plan\PlanChecker;

/** Finds the shortfall of a claim and lays its pieces ready. */
final readonly class EnoughCases
{
    public function __construct(private PlanChecker $checker, private AccountSettings $settings, private EnoughMaker $maker)
    {
    }

    /** @return ?EnoughCase null when there is no such claim, or nothing is short or tight about it */
    public function find(Account $account, string $project, string $claim): ?EnoughCase
    {
        $answer = $this->checker->answer($account, $project);
        $role = $answer?->role($claim);

        return null === $answer || null === $role ? null : $this->case($account, $role->line ?? $answer->project, $role);
    }

    /** Whether the account has such a project: a page asks on while another option is taken, and its claim is gone then. */
    public function isThere(Account $account, string $project): bool
    {
        return null !== $this->checker->answer($account, $project);
    }

    private function case(Account $account, Project $project, RoleAnswer $role): ?EnoughCase
    {
        [$cloth, $cut, $amount] = [$role->claim->cloth, $role->claim->cut, $role->amount()];
        if (null === $cloth || null === $cut || null === $amount || null === $role->spare) {
            return null;
        }
        if (null === $project->cutting($role->claim)?->version) {
            return null;
        }
        $toCut = ToCut::of($cloth, $cut, $this->settings->load($account)->assumptions, laid: true);
        if (null === $toCut->width || null === $toCut->length) {
            return null;
        }
        $free = $amount->plus($role->spare);
        $tight = Verdict::Tight === $role->verdict;
        $make = $this->maker->prepare($account, new Shortfall($project->wanted($role->claim), $amount, $free, $tight), $cloth, $cut);

        return null === $make ? null : new EnoughCase($project, $role, $cloth, $free, $make);
    }
}
