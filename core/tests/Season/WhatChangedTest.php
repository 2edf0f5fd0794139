<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\ProjectSnapshot;
use Octavum\Core\Season\WhatChanged;
use PHPUnit\Framework\TestCase;

/** Two weeks of seven hours from Monday 1 March 2027: an hour a day, fourteen in all. */
final class WhatChangedTest extends TestCase
{
    public function testAMoveSaysWhatItCostsFirstAndThenWhatItWins(): void
    {
        // coat 8 h, dress 5 h due on the 8th: the dress is done on the 14th
        $before = $this->checked(['Coat' => [8, null], 'Dress' => [5, '03-08'], 'Top' => [2, null]]);
        $after = $this->checked(['Dress' => [5, '03-08'], 'Top' => [2, null], 'Coat' => [8, null]]);
        self::assertSame(
            ['Coat falls below the chalk line.', 'Dress is in time now.', 'Top comes above the chalk line.'],
            $this->says($before, $after),
        );
        self::assertSame(
            [
                'Dress is {days} late now.',
                'Top falls below the chalk line.',
                'Coat comes above the chalk line.',
            ],
            $this->says($after, $before),
        );
        self::assertSame([5, 0], [ProjectSnapshot::all($before)['#Dress']->late, ProjectSnapshot::all($after)['#Dress']->late]);
        self::assertSame([], $this->says($before, $before));
    }

    public function testClothThatAnotherHasFirstNowIsNamedWithWhatIsMissing(): void
    {
        $cloth = Plan::cloth('1.4', Plan::cut('2', washed: true));
        $shirt = Plan::project('Shirt', 1, null, Plan::claim($cloth, stated: '1.2', id: 'shirt'));
        $skirt = Plan::project('Skirt', 2, null, Plan::claim($cloth, stated: '1', id: 'skirt'));
        $before = Plan::check($shirt, $skirt);
        $after = Plan::check(Plan::project('Shirt', 3, null, $shirt->current->claims[0]), $skirt);
        // 2 m less 6 cm squaring: 1.94 m, of which the skirt takes one
        $says = (new WhatChanged())->since(ProjectSnapshot::all($before), $after);
        self::assertSame('Shirt is 26 cm short now.', (string) $says[0]);
        self::assertSame('The cloth of Skirt: fits now.', (string) $says[1]);
    }

    public function testAStandingIsPackedAndOnlyWhatWasPackedIsUnpacked(): void
    {
        foreach ([new ProjectSnapshot(4, true, Verdict::Short), new ProjectSnapshot(0, false, null)] as $standing) {
            self::assertEquals($standing, ProjectSnapshot::unpacked($standing->packed()));
        }
        foreach ([null, 'x', [], ['1', true, null], [1, 'x', null]] as $nonsense) {
            self::assertNull(ProjectSnapshot::unpacked($nonsense));
        }
    }

    /** @return list<string> */
    private function says(CheckedSeason $before, CheckedSeason $after): array
    {
        return array_map(
            static fn (Sentence $one): string => preg_replace('/, plural, .*?\}\}/', '}', (string) $one) ?? '',
            (new WhatChanged())->since(ProjectSnapshot::all($before), $after),
        );
    }

    /** @param array<string, array{int, ?string}> $projects hours and deadline, in rank order */
    private function checked(array $projects): CheckedSeason
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 2, 420);
        $all = [];
        foreach ($projects as $name => [$hours, $deadline]) {
            $day = null === $deadline ? null : new \DateTimeImmutable('2027-'.$deadline);
            $all[] = new Project(
                $name,
                $name,
                $season,
                \count($all) + 1,
                brief: new ProjectBrief(dates: new ProjectDates(deadline: $day)),
                current: new Option('', minutes: 60 * $hours),
            );
        }

        return (new SeasonCheck(new Assumptions()))->check($season, $all);
    }
}
