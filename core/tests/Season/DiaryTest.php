<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Dated;
use Octavum\Core\Season\Diary;
use PHPUnit\Framework\TestCase;

/** Two weeks of 7 hours from Monday 1 March 2027: an hour of sewing a day. */
final class DiaryTest extends TestCase
{
    public function testProjectsBeginAsTheHoursFallAndWhatIsDueAndComesHasItsDay(): void
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 2, 420);
        $cloth = new Cloth(
            'c',
            'Linen',
            cuts: [
                new Cut('k', [], state: CutState::Ordered, expected: new \DateTimeImmutable('2027-03-03')),
            ],
        );
        $tee = new Version('v', 'A', new RequirementTable(['14'], []), ['2 buttons']);
        $buttons = new Notion('n', NotionKind::Button, count: 4, expected: new \DateTimeImmutable('2027-03-04'));
        $projects = [
            new Project(
                'a',
                'Dress',
                $season,
                1,
                current: new Option(
                    '',
                    minutes: 300,
                    claims: [new Claim('c1', Role::Main, $cloth, $cloth->cuts[0])],
                ),
            ),
            new Project(
                'b',
                'Tee',
                $season,
                2,
                brief: new ProjectBrief(dates: new ProjectDates(deadline: new \DateTimeImmutable('2027-03-08'))),
                current: new Option('', version: $tee, minutes: 120),
            ),
            new Project(
                'c',
                'Hat',
                $season,
                3,
                brief: new ProjectBrief(dates: new ProjectDates(notBefore: new \DateTimeImmutable('2027-03-10'))),
                current: new Option('', minutes: 60),
            ),
            new Project(
                'd',
                'Coat',
                $season,
                4,
                brief: new ProjectBrief(dates: new ProjectDates(deadline: new \DateTimeImmutable('2027-03-12'), soft: true)),
                current: new Option('', minutes: 600),
            ),
        ];
        $days = (new Diary())->compile((new SeasonCheck(new Assumptions(), [$buttons]))->check($season, $projects));
        self::assertSame([
            ['begin-a', '2027-03-01', 'Begin Dress'],
            ['parcel-c1', '2027-03-03', 'A parcel for Dress: Linen'],
            ['notion-b-0', '2027-03-04', 'A parcel for Tee: 2 buttons'],
            // five hours before it: the sixth day
            ['begin-b', '2027-03-06', 'Begin Tee'],
            ['due-b', '2027-03-08', 'Tee is due'],
            // the eighth day, but not before the tenth of the month
            ['begin-c', '2027-03-10', 'Begin Hat'],
            // the coat lies below the chalk line: it has a day, and no beginning
            ['due-d', '2027-03-12', 'Coat would be nice by now'],
        ], array_map(static fn (Dated $one): array => [$one->key, $one->on->format('Y-m-d'), (string) $one->sentence], $days));
    }
}
