<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Pattern;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Compared;
use Octavum\Core\Pattern\Comparison;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Season\Snag\LikingSnags;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ComparisonTest extends TestCase
{
    public function testOnlyWhatDiffersIsShown(): void
    {
        $row = static fn (Role $role, int $width, int $length, Nap $nap = Nap::Without): Requirement => new Requirement(
            $role,
            Length::ofMillimetres($width),
            $nap,
            ['14' => Length::ofMillimetres($length), '16' => Length::ofMillimetres(3000)],
        );
        $long = new Version(
            'a',
            'Long',
            new RequirementTable(
                ['14', '16'],
                [$row(Role::Main, 1400, 2200), $row(Role::Main, 1500, 2000), $row(Role::Lining, 1400, 1000)],
            ),
            ['zip', '4 buttons'],
            300,
            features: [Feature::LongSleeves, Feature::Pockets],
        );
        $short = new Version(
            'b',
            'Short',
            new RequirementTable(
                ['14', '16'],
                [$row(Role::Main, 1400, 1700), $row(Role::Main, 1500, 2000), $row(Role::Main, 1400, 1900, Nap::With)],
            ),
            ['zip'],
            240,
            features: [Feature::ShortSleeves, Feature::Pockets],
        );
        $show = static fn (Figure|Sentence|int|null $value): string|int|null => $value instanceof Figure
            ? (int) $value->length->millimetres()
            : ($value instanceof Sentence
                ? (string) $value
                : $value);
        $rows = static fn (Version $a, Version $b, string $size): array => array_map(
            static fn (Compared $one): array => [(string) $one->what, $show($one->first), $show($one->second)],
            (new Comparison())->compare($a, $b, $size),
        );
        self::assertSame(
            [
                ['main, 140 cm, without nap', 2200, 1700],
                ['lining, 140 cm, without nap', 1000, null],
                ['main, 140 cm, with nap', null, 1900],
                ['hours', 300, 240],
                ['long sleeves', 'has it', null],
                ['short sleeves', null, 'has it'],
                ['4 buttons', 'has it', null],
            ],
            $rows($long, $short, '14'),
        );
        self::assertSame([], $rows($long, $long, '14'));
        self::assertCount(6, $rows($long, $short, '16'), 'in 16 they take the same of the cloth 140 wide without nap');
    }

    /** @param list<Feature> $has */
    #[DataProvider('likings')]
    public function testWhatSomebodyLikesIsAskedOfWhatAVersionHas(array $has, Liking $liking, ?Severity $severity, string $says): void
    {
        $version = new Version('v', 'A', new RequirementTable([], []), features: $has);
        $project = new Project(
            'p',
            'Coat',
            Plan::season(),
            1,
            brief: new ProjectBrief(new Person('o', 'Odalys', likings: [Feature::Hood->value => $liking])),
            current: new Option('', new Pattern('k', 'Coat', versions: [$version]), $version),
        );
        $snags = array_map(
            static fn (Snag $snag): array => [$snag->severity, (string) $snag->sentence],
            (new LikingSnags())->find($project),
        );
        self::assertSame(null === $severity ? [] : [[$severity, $says]], $snags);
    }

    /** @return iterable<string, array{list<Feature>, Liking, ?Severity, string}> */
    public static function likings(): iterable
    {
        $hood = [Feature::Hood, Feature::Zip];
        yield 'never' => [$hood, Liking::Never, Severity::Tight, 'Coat: Odalys never wants this: hood. Version A has it.'];
        yield 'rather not' => [$hood, Liking::Avoid, Severity::Note, 'Coat: Odalys would rather not: hood. Version A has it.'];
        yield 'wanted, and there' => [$hood, Liking::Want, null, ''];
        yield 'wanted, and not there' => [
            [Feature::Zip],
            Liking::Want,
            Severity::Note,
            'Coat: Odalys wants this: hood. Version A does not say so.',
        ];
        yield 'never, and not there' => [[Feature::Zip], Liking::Never, null, ''];
        yield 'nobody said what it has' => [[], Liking::Want, null, ''];
    }
}
