<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\Tool;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\ToolRule;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Season\Gate\Check;
use Octavum\Core\Season\Gate\Gate;
use Octavum\Core\Season\Gate\GateLine;
use Octavum\Core\Season\Gate\GateState;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Mending, borrowed patterns, tools that are not there, and what came out of less before. */
final class SmallTruthsTest extends TestCase
{
    #[TestWith(['Mend the elbow of the blue shirt', false])]
    #[TestWith(['Take in the linen trousers', false])]
    #[TestWith(['Altering Suvi’s pinafore', false])]
    #[TestWith(['Linen trousers', true])]
    public function testMendingWantsNoMainCloth(string $name, bool $wants): void
    {
        $answer = Plan::check(new Project('m', $name, Plan::season(), 1, current: new Option('', minutes: 60)))->projects[0];
        self::assertSame(
            $wants,
            [] !== array_filter($answer->snags, static fn (Snag $snag): bool => str_contains((string) $snag->sentence, 'no cloth for')),
        );
        self::assertSame($wants ? Verdict::NotKnown : null, $answer->verdict);
    }

    public function testABorrowedPatternOpensTheGateAndAWishedForOneDoesNot(): void
    {
        $line = static function (Ownership $ownership): GateState {
            $version = Plan::version(['150 cm' => '1.20']);
            $pattern = new Pattern('p', 'Ferry skirt', keeping: new PatternKeeping(ownership: $ownership), versions: [$version]);
            $project = new Project(
                's',
                'Skirt',
                Plan::season(),
                1,
                current: new Option(
                    '',
                    $pattern,
                    $version,
                    '14',
                    claims: [Plan::claim(Plan::cloth('150 cm', '2'))],
                ),
            );
            $answer = Plan::check($project)->projects[0];
            $lines = (new Gate())->check($answer, $answer->roles[0], [], []);

            return array_column(array_map(static fn (GateLine $one): array => [$one->check->value, $one->state], $lines), 1, 0)[
                Check::Pattern->value
            ];
        };
        self::assertSame(GateState::Clear, $line(Ownership::Borrowed));
        self::assertSame(GateState::Open, $line(Ownership::Wished));
    }

    public function testWithoutAnOverlockerEveryKnitSaysSo(): void
    {
        $version = Plan::version(['150 cm' => '1.20']);
        $making = Making::of(new Pattern('p', 'Tee', versions: [$version]), $version, null, new Sewist(lacks: [Tool::StretchStitch]));
        $says = static fn (ClothType $type): ?Reason => (new ToolRule())
            ->judge(Traits::of(new Cloth('c', 'C', material: new Material(type: $type)), 2500), $making->asks);
        self::assertStringContainsString('seams must stretch', (string) $says(ClothType::Jersey)?->sentence);
        self::assertNull($says(ClothType::Poplin));
    }

    /** The table says 1.20 m; the one before was cut from 90 cm. */
    public function testWhatCameOutOfLessBeforeStandsAgainstTheFigure(): void
    {
        $version = Plan::version(['150 cm' => '1.20']);
        $said = fn (string $length, string $used): array => array_values(
            array_filter(
                array_map(
                    static fn (Snag $snag): string => (string) $snag->sentence,
                    Plan::check(
                        Plan::project('Skirt', 1, $version, Plan::claim(Plan::cloth('150 cm', Plan::cut($length, true)))),
                        $this->made($version, $used),
                    )->projects[0]->snags,
                ),
                static fn (string $one): bool => str_contains($one, 'came out of'),
            ),
        );
        self::assertSame(
            ['Skirt: it came out of 90 cm before, for First. That stands against the figure: lay it out.'],
            $said('1.06', '0.90'),
        );
        self::assertSame([], $said('0.95', '0.90'), 'so much is not there');
        self::assertSame([], $said('1.40', '0.90'), 'it is enough');
    }

    private function made(Version $version, string $used): Project
    {
        $cloth = Plan::cloth('150 cm', '2', name: 'Before');
        $claim = new Claim('before', Role::Main, $cloth, $cloth->cuts[0], cutOut: true, used: Length::ofMetres($used));

        return new Project(
            'first',
            'First',
            Plan::season(),
            2,
            log: new ProjectLog(state: ProjectState::Done),
            current: new Option(
                '',
                new Pattern('pattern', 'P', versions: [$version]),
                $version,
                '14',
                claims: [$claim],
            ),
        );
    }
}
