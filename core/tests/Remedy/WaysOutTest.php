<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Remedy;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Width;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

final class WaysOutTest extends TestCase
{
    public function testWashingIsAdvisedOnlyWhenWhatIsCountedOffWouldDo(): void
    {
        // 2.34 m usable, 9.8 cm counted off for the wash
        self::assertSame(
            ['Up to 9 cm is counted off for the wash: wash it and measure again before giving up.'],
            $this->said([Plan::cut('2.5')], '2.43'),
        );
        self::assertSame([], $this->said([Plan::cut('2.5')], '2.45'), '11 cm are missing');
        self::assertSame([], $this->said([Plan::cut('2.4', true)], '2.35'), 'nothing is left to shrink');
    }

    public function testACutThatWouldDoAloneIsBetterThanAnySum(): void
    {
        $said = $this->said([Plan::cut('1.5', true, 'a'), Plan::cut('3', true, 'b')], '2.4');
        self::assertSame(['Another cut of it has 2.94 m free, which is enough alone.'], $said);
    }

    public function testACutThatAnotherProjectHasIsNotOffered(): void
    {
        $cloth = new Cloth(
            'c',
            'Lawn',
            Width::of(Length::ofMetres('1.4'), Length::of('1', Unit::Centimetre)),
            material: new Material(fibres: FibreMix::of(['cotton' => 100], Knowledge::Label)),
            cuts: [Plan::cut('1.5', true, 'a'), Plan::cut('3', true, 'b')],
        );
        $version = Plan::version(['140 cm' => '2.4']);
        $first = Plan::project('First', 1, null, Plan::claim($cloth, 1, '1'));
        $second = Plan::project('Second', 2, $version, Plan::claim($cloth));
        $offered = static fn (Project ...$projects): bool => array_any(
            Plan::check(...$projects)->projects,
            static fn (ProjectAnswer $answer): bool => str_contains(implode(' ', $answer->roles[0]->waysOut()), 'is enough alone'),
        );
        self::assertFalse($offered($first, $second), '1.94 m are left of the longer');
        self::assertTrue($offered($second), 'nobody else has it');
    }

    public function testCutsAreSpokenOfOnlyWhenTogetherTheyWouldSeemEnough(): void
    {
        self::assertStringContainsString(
            'cannot be added up',
            $this->said([Plan::cut('1.5', true, 'a'), Plan::cut('1.2', true, 'b')], '2.4')[0],
        );
        self::assertSame([], $this->said([Plan::cut('1.5', true, 'a'), Plan::cut('0.5', true, 'b')], '2.4'));
    }

    public function testCutsThatAreGoneOrNotMeasuredAreNotCounted(): void
    {
        $gone = Plan::cut('3', true, 'b')->with(new LedgerEntry(new \DateTimeImmutable('2027-03-01'), LedgerKind::GivenAway));
        self::assertSame([], $this->said([Plan::cut('1.5', true, 'a'), $gone, Plan::cut(null, id: 'c')], '2.4'));
    }

    public function testOtherVersionsAreNamedWhenTheyFitOnThisCloth(): void
    {
        $said = $this->said([Plan::cut('2', true)], '2.4', [
            Plan::version(['140 cm' => '1.9'], name: 'B'),
            Plan::version(['140 cm' => '2.2'], name: 'C'),
            Plan::version(['150 cm' => '1'], name: 'D'),
        ]);
        self::assertCount(2, $said);
        self::assertSame('Version “B” of the same pattern wants 1.90 m, and fits on it.', $said[0]);
        self::assertStringContainsString('Version “D” of the same pattern wants', $said[1], 'converted to the narrower cloth');
    }

    public function testWhatDoesNotFitOnWhatIsLeftIsNotNamed(): void
    {
        $cloth = Plan::cloth('140 cm', Plan::cut('3', true));
        [$long, $short] = [Plan::version(['140 cm' => '2'], name: 'A'), Plan::version(['140 cm' => '1.5'], name: 'B')];
        $pattern = new Pattern('p', 'Coat', versions: [$long, $short]);
        $first = Plan::project('First', 1, null, Plan::claim($cloth, stated: '2'));
        $second = new Project(
            'second',
            'Second',
            Plan::season(),
            2,
            current: new Option('', $pattern, $long, '14', claims: [Plan::claim($cloth, id: 'second')]),
        );
        self::assertSame([], Plan::check($first, $second)->projects[1]->roles[0]->waysOut(), '94 cm are left');
    }

    /**
     * @param non-empty-list<Cut> $cuts     the first is the one chosen
     * @param list<Version>       $versions beside the one that is short
     *
     * @return list<string>
     */
    private function said(array $cuts, string $need, array $versions = []): array
    {
        $cloth = new Cloth(
            'c',
            'Lawn',
            Width::of(Length::ofMetres('1.4'), Length::of('1', Unit::Centimetre)),
            material: new Material(fibres: FibreMix::of(['cotton' => 100], Knowledge::Label)),
            cuts: $cuts,
        );
        $version = Plan::version(['140 cm' => $need]);
        $project = new Project(
            'p',
            'Coat',
            Plan::season(),
            1,
            current: new Option(
                '',
                new Pattern('p', 'Coat', versions: [$version, ...$versions]),
                $version,
                '14',
                minutes: 60,
                claims: [Plan::claim($cloth)],
            ),
        );

        return array_map(strval(...), Plan::check($project)->projects[0]->roles[0]->waysOut());
    }
}
