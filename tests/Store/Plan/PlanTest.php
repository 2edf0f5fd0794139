<?php

declare(strict_types=1);

namespace Octavum\Tests\Store\Plan;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Workroom\Workrooms;
use Octavum\Tests\PageTestCase;
use Octavum\Tools\LargeWorkroom;

final class PlanTest extends PageTestCase
{
    /** The season page reads less of the options that do not lead; what its strips show is the same. */
    public function testWhatIsReadForThePageDrawsAllThatIsOnIt(): void
    {
        $large = $this->account();
        $this->service(Workrooms::class)->replace($large, (new LargeWorkroom())->make(20, 30, 10, 12));
        $left = 0;
        foreach ([$this->demo(), $large] as $account) {
            $whole = $this->shown($account, $this->service(PlanLoader::class)->drawn(...));
            self::assertNotEmpty($whole['perhaps']);
            $read = $this->shown($account, $this->service(PlanLoader::class)->projects(...));
            self::assertSame($read['promised'], $whole['promised']);
            $onPage = static fn (array $perhaps): array => array_intersect_key($perhaps, $read['promised']);
            self::assertSame($onPage($read['perhaps']), $onPage($whole['perhaps']));
            $left += \count($read['perhaps']) - \count($whole['perhaps']);
        }
        self::assertGreaterThan(0, $left, 'what is not on the page is not read');
    }

    /**
     * @param \Closure(Account): list<Project> $read
     *
     * @return array{promised: array<string, list<string>>, perhaps: array<string, list<string>>} both by cut
     */
    private function shown(Account $account, \Closure $read): array
    {
        $check = new SeasonCheck($this->service(AccountSettings::class)->load($account)->assumptions);
        $projects = $read($account);
        $say = static fn (Reservation $one): string => $one->claim->id.' '.$one->amount->micrometres;
        $shown = [];
        foreach (['promised' => $check->promises($projects), 'perhaps' => $check->perhaps($projects)] as $what => $promises) {
            $shown[$what] = array_map(static fn (array $all): array => array_map($say, $all), $promises);
        }

        return $shown;
    }
}
