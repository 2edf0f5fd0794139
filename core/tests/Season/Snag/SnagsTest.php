<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Snag;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Width;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SnagsTest extends TestCase
{
    /** A pattern that wants a stretch of so many per cent, and a cloth that has so many. */
    #[DataProvider('stretches')]
    public function testAStretchIsAskedForWhereItIsWanted(
        ?int $wanted,
        ?int $has,
        string $says,
        Structure $structure = Structure::Knit,
        Role $role = Role::Main,
    ): void {
        $said = implode("\n", $this->said(new ClothAdvice(stretch: $wanted), new Feel(across: $has), $structure, $role));
        if ('' === $says) {
            self::assertStringNotContainsString('stretch', $said);
        } else {
            self::assertStringContainsString($says, $said);
        }
    }

    /** @return iterable<string, array{0: ?int, 1: ?int, 2: string, 3?: Structure, 4?: Role}> */
    public static function stretches(): iterable
    {
        $short = 'wants a stretch of 40 % at least, and Cloth has 39 %';
        yield 'one per cent less' => [40, 39, $short];
        yield 'just enough' => [40, 40, ''];
        yield 'none at all' => [40, 0, 'and Cloth has 0 %'];
        yield 'not known' => [40, null, 'The stretch of Cloth is not measured'];
        yield 'not known of felt, which has none' => [40, null, '', Structure::NonWoven];
        yield 'felt that was tried' => [40, 39, $short, Structure::NonWoven];
        yield 'nothing wanted' => [null, 3, ''];
        yield 'none wanted' => [0, null, ''];
        yield 'one per cent wanted' => [1, 0, 'wants a stretch of 1 %'];
        yield 'a pocket need not stretch' => [40, 3, '', Structure::Knit, Role::Contrast];
    }

    /** One verdict in every room: where only bands want all of it, a little less is tight, as in Match. */
    public function testBandsAreCutFromRibbingWhereALittleStretchIsLacking(): void
    {
        $snag = static function (int $has): array {
            $bands = [Technique::KnitBands];
            $project = self::project(new ClothAdvice(stretch: 50), new Feel(across: $has), Structure::Knit, Role::Main, null, $bands);
            $stretch = static fn (Snag $snag): bool => str_contains((string) $snag->sentence, 'stretch');
            $snags = array_values(array_filter(Plan::check($project)->projects[0]->snags, $stretch));

            return [\count($snags), $snags[0]->severity ?? null];
        };
        self::assertSame([1, Severity::Tight], $snag(40));
        self::assertSame([1, Severity::Short], $snag(39));
        self::assertSame([0, null], $snag(50));
    }

    /** A pattern for knits only: what it is and whether that was said. */
    #[DataProvider('structures')]
    public function testWovenAndKnitAreNotMixed(Role $role, ?Structure $stated, string $says): void
    {
        $said = implode("\n", $this->said(new ClothAdvice(), new Feel(), $stated, $role, Structure::Knit));
        if ('' === $says) {
            self::assertStringNotContainsString('cloth only', $said);
        } else {
            self::assertStringContainsString($says, $said);
        }
    }

    public function testWhatTheSewistOverruledIsNoSnag(): void
    {
        self::assertStringContainsString('is for knit cloth only', $this->overruled([]));
        self::assertStringContainsString('is for knit cloth only', $this->overruled([Overrule::key('c', 'another') => 'because']));
        $version = self::project(new ClothAdvice(), new Feel(), null, Role::Main)->current->version->id ?? '';
        self::assertStringNotContainsString('cloth only', $this->overruled([Overrule::key('c', $version) => 'cut on the bias']));
    }

    /** @param array<string, string> $reasons */
    private function overruled(array $reasons): string
    {
        $project = self::project(new ClothAdvice(), new Feel(), Structure::Woven, Role::Main, Structure::Knit);
        $checked = (new SeasonCheck(new Assumptions(), [], $reasons))->check($project->season, [$project]);

        return implode("\n", array_map(static fn (Snag $snag): string => (string) $snag->sentence, $checked->projects[0]->snags));
    }

    /** @return iterable<string, array{Role, ?Structure, string}> */
    public static function structures(): iterable
    {
        yield 'woven' => [Role::Main, Structure::Woven, 'is for knit cloth only, and Cloth is woven'];
        yield 'not set' => [Role::Main, null, 'The structure of Cloth is not set.'];
        yield 'knit' => [Role::Main, Structure::Knit, ''];
        yield 'a woven contrast' => [Role::Contrast, Structure::Woven, 'is for knit cloth only'];
        yield 'ribbing is a knit by its name' => [Role::Ribbing, Structure::Woven, ''];
        yield 'a lining may be woven' => [Role::Lining, Structure::Woven, ''];
    }

    /** A cut that is settled along but not across, or the other way round, is still to be washed. */
    #[DataProvider('shrinkages')]
    public function testWhatStillShrinksEitherWayIsToBeWashed(int $along, int $across, bool $asked): void
    {
        $cut = Plan::cut('2');
        $cloth = new Cloth(
            'c',
            'Cloth',
            Width::of(Length::ofMillimetres(1500), Length::ofMillimetres(10)),
            material: new Material(tested: Shrinkage::tested(Percent::of($along), Percent::of($across))),
            cuts: [$cut],
        );
        $actions = array_map(
            static fn (Snag $snag): Action => $snag->action,
            Plan::check(Plan::project('Coat', 1, null, Plan::claim($cloth, stated: '1')))->projects[0]->roles[0]->snags,
        );
        self::assertSame($asked, \in_array(Action::MarkWashed, $actions, true));
    }

    /** @return iterable<string, array{int, int, bool}> */
    public static function shrinkages(): iterable
    {
        yield 'both ways' => [4, 2, true];
        yield 'along' => [4, 0, true];
        yield 'across' => [0, 2, true];
        yield 'neither' => [0, 0, false];
    }

    /** Ash takes 1.00 m and Birch 0.90 m of 1.94 m; promised twice only when together it is more. */
    #[DataProvider('twice')]
    public function testPromisedTwiceIsSaidOfTheFirstAndOnlyWhenItIsSo(string $second, ?string $third, ?string $says): void
    {
        $cloth = Plan::cloth('150 cm', Plan::cut('2.0', washed: true));
        $projects = [
            Plan::project('Ash', 1, null, Plan::claim($cloth, stated: '1', id: 'a')),
            Plan::project('Birch', 2, null, Plan::claim($cloth, stated: $second, id: 'b')),
            ...null === $third ? [] : [Plan::project('Cedar', 3, null, Plan::claim($cloth, stated: $third, id: 'c'))],
        ];
        $said = array_map(
            static fn (Snag $snag): string => (string) $snag->sentence,
            Plan::check(...$projects)->projects[0]->roles[0]->snags,
        );
        $twice = array_values(array_filter($said, static fn (string $one): bool => str_contains($one, 'more than once')));
        self::assertSame(null === $says ? [] : [$says], $twice);
    }

    /** @return iterable<string, array{string, ?string, ?string}> */
    public static function twice(): iterable
    {
        $says = static fn (
            string $others,
            string $by,
        ): string => "Heron lawn is reserved more than once: Ash has it first, and $others would be $by short.";
        yield 'both fit' => ['0.94', null, null];
        yield 'a centimetre too much' => ['0.95', null, $says('Birch', '1 cm')];
        yield 'the third is the one' => ['0.90', '0.10', $says('Birch, Cedar', '6 cm')];
    }

    #[DataProvider('unmeasured')]
    public function testWhyALengthIsNotKnownIsSaid(?string $length, ?LedgerKind $then, ?string $width, string $says): void
    {
        $on = new \DateTimeImmutable('2027-02-01');
        $cut = new Cut('c', [
            new LedgerEntry($on, LedgerKind::Bought, null === $length ? null : Plan::length($length)),
            ...null === $then ? [] : [new LedgerEntry($on, $then)],
        ]);
        $cloth = Plan::cloth($width, $cut);
        $answer = Plan::check(Plan::project('Coat', 1, Plan::version(['1.5' => '1']), Plan::claim($cloth)))->projects[0]->roles[0];
        self::assertStringContainsString($says, (string) $answer->snags[0]->sentence);
    }

    /** @return iterable<string, array{?string, ?LedgerKind, ?string, string}> */
    public static function unmeasured(): iterable
    {
        yield 'never measured' => [null, null, '150 cm', 'Heron lawn is not measured. Measure its length to know whether Coat fits.'];
        yield 'cut into' => ['2', LedgerKind::Cut, '150 cm', 'A part of Heron lawn was taken and not measured'];
        yield 'no width' => ['2', null, null, 'The width of Heron lawn is not measured. Measure it to know whether Coat fits.'];
    }

    /** A repeat counts in a lay for the main cloth alone, and where it is matched. */
    #[DataProvider('matched')]
    public function testARepeatIsAskedOfALayWhereItIsMatched(Role $role, ?Matching $matching, bool $asked): void
    {
        $cloth = new Cloth('c', 'Cloth', look: new ClothLook(repeat: Length::ofMillimetres(64)), cuts: [Plan::cut('2')]);
        $claim = new Claim('claim', $role, $cloth, $cloth->cuts[0]);
        $project = new Project('p', 'P', Plan::season(), 1, current: new Option('', claims: [$claim], matching: $matching));
        self::assertSame($asked ? 64 : null, $project->asked($claim, new Assumptions())->repeat?->millimetres());
    }

    /** @return iterable<string, array{Role, ?Matching, bool}> */
    public static function matched(): iterable
    {
        yield 'as the settings say' => [Role::Main, null, true];
        yield 'main seams' => [Role::Main, Matching::MainSeams, true];
        yield 'never' => [Role::Main, Matching::Never, false];
        yield 'a lining' => [Role::Lining, Matching::MainSeams, false];
        yield 'a lining, as the settings say' => [Role::Lining, null, false];
    }

    /** @return list<string> */
    private function said(ClothAdvice $advice, Feel $feel, ?Structure $structure, Role $role, ?Structure $only = null): array
    {
        $project = self::project($advice, $feel, $structure, $role, $only);

        return array_map(static fn (Snag $snag): string => (string) $snag->sentence, Plan::check($project)->projects[0]->snags);
    }

    /** @param list<Technique> $techniques */
    private static function project(
        ClothAdvice $advice,
        Feel $feel,
        ?Structure $structure,
        Role $role,
        ?Structure $only = null,
        array $techniques = [],
    ): Project {
        $cut = Plan::cut('20', washed: true);
        $width = Width::of(Length::ofMillimetres(1500), Length::ofMillimetres(10));
        $cloth = new Cloth('c', 'Cloth', $width, material: new Material(structure: $structure, feel: $feel), cuts: [$cut]);
        $version = Plan::version(['1.5' => '1'], $role);

        return new Project(
            'p',
            'Coat',
            Plan::season(),
            1,
            current: new Option(
                '',
                new Pattern(
                    'k',
                    'Coat',
                    makes: new PatternGarment(onlyFor: $only, techniques: $techniques, advice: $advice),
                    versions: [$version],
                ),
                $version,
                '14',
                claims: [new Claim('claim', $role, $cloth, $cut)],
            ),
        );
    }
}
