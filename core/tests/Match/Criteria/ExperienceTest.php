<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Match\Criteria;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Match\Criteria\Experience;
use Octavum\Core\Match\Criteria\MadeBefore;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Match\Suit;
use Octavum\Core\Match\Toile;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Log\Again;
use Octavum\Core\Project\Log\Finding;
use Octavum\Core\Project\Log\Fitted;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Sewn;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was sewn before counts by version, person, size and outcome. */
final class ExperienceTest extends TestCase
{
    /**
     * @param list<array{string, ?string, ?string, ?bool, string}> $made version, person, size, whether it turned out well, and the day
     */
    #[DataProvider('pasts')]
    public function testWhatCounts(array $made, int $good, bool $isBad): void
    {
        $table = new RequirementTable(['10', '12', '14', '16', '18'], []);
        $all = array_map(
            static fn (array $one): MadeBefore => new MadeBefore($one[0], $one[1], $one[2], $one[3], 'so', new \DateTimeImmutable($one[4])),
            $made,
        );
        $experience = Experience::of($all, 'A', $table, 'o', '14');
        self::assertSame([$good, $isBad], [$experience->good, null !== $experience->bad]);
    }

    /** @return iterable<string, array{list<array{string, ?string, ?string, ?bool, string}>, int, bool}> */
    public static function pasts(): iterable
    {
        yield 'nothing' => [[], 0, false];
        yield 'the same' => [[['A', 'o', '14', true, '2026-01-01']], 1, false];
        yield 'a size beside it' => [[['A', 'o', '16', true, '2026-01-01']], 1, false];
        yield 'two sizes off' => [[['A', 'o', '18', true, '2026-01-01']], 0, false];
        yield 'another version' => [[['B', 'o', '14', true, '2026-01-01']], 0, false];
        yield 'for somebody else' => [[['A', 'x', '14', true, '2026-01-01']], 0, false];
        yield 'nobody noted how it turned out' => [[['A', 'o', '14', null, '2026-01-01']], 0, false];
        yield 'badly' => [[['A', 'o', '14', false, '2026-01-01']], 0, true];
        yield 'badly after well' => [[['A', 'o', '14', true, '2025-01-01'], ['A', 'o', '14', false, '2026-01-01']], 0, true];
        yield 'well after badly' => [[['A', 'o', '14', true, '2026-01-01'], ['A', 'o', '14', false, '2025-01-01']], 1, false];
        yield 'badly in another version' => [[['B', 'o', '18', false, '2026-01-01']], 0, true];
        yield 'badly for somebody else' => [[['A', 'x', '14', false, '2026-01-01']], 0, false];
    }

    public function testAfterDoesNotFitAndNotAgainItIsADoubtWithItsDayAndWords(): void
    {
        $person = new Person('o', 'Ottoline');
        $version = new Version('v', 'A', new RequirementTable(['14'], []));
        $pattern = new Pattern('p', 'Towpath trousers', makes: new PatternGarment(garment: Garment::Trousers), versions: [$version]);
        $finding = new Finding(new \DateTimeImmutable('2026-05-03'), Fitted::Badly, again: Again::No, change: 'too short in the rise');
        $done = new Project(
            'd',
            'Trousers',
            Plan::season(),
            1,
            brief: new ProjectBrief($person),
            log: new ProjectLog(state: ProjectState::Done, sewing: new Sewing(finding: $finding)),
            current: new Option('', $pattern, $version, '14'),
        );
        $making = Making::of($pattern, $version, $person, (new Sewist())->having((new Sewn([$done]))->made()))->inSize('14');
        $judgement = (new Suit())->judge(Traits::of(new Cloth('c', 'C'), Making::DEAR), $making->asks);
        $said = array_map(static fn (Reason $reason): string => (string) $reason->sentence, $judgement->withTenor(Tenor::Doubt));
        self::assertSame(['Made before, 2026-05-03: does not fit; make again: no; too short in the rise.'], $said);
        self::assertStringNotContainsString(
            'no toile',
            implode(' ', array_map(static fn (Reason $reason): string => (string) $reason->sentence, $judgement->reasons)),
        );
        self::assertStringContainsString('turned out badly', (string) (new Toile())->reasons($making, null)[0]);
    }
}
