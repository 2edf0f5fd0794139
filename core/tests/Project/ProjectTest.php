<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project;

use Octavum\Core\Body\Fact;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProjectTest extends TestCase
{
    /**
     * @param list<string> $leftOut
     * @param list<string> $kept
     * @param list<string> $own
     * @param list<string> $offered
     */
    #[DataProvider('known')]
    public function testOffersWhatAlwaysHasToBeAlteredUntilItIsKnown(array $leftOut, array $kept, array $own, array $offered): void
    {
        $person = new Person('suvi', 'Suvi', facts: [
            new Fact('Legs longer', Length::ofMillimetres(50), Garment::Trousers->value),
            new Fact('Sleeves longer', Length::ofMillimetres(30), Garment::Shirt->value),
            new Fact('Narrow shoulders'),
        ]);
        $pattern = new Pattern(
            'p',
            'Ferry shirt',
            makes: new PatternGarment(garment: Garment::Shirt),
            alterations: array_map(
                static fn (string $name): KeptAlteration => new KeptAlteration('suvi', $name),
                $kept,
            ),
        );
        $alterations = array_map(static fn (string $name): Alteration => new Alteration($name, Length::zero()), $own);
        $project = new Project(
            'x',
            'X',
            Plan::season(),
            1,
            brief: new ProjectBrief($person),
            current: new Option('', $pattern, alterations: $alterations, leftOut: $leftOut),
        );
        self::assertSame($offered, array_column($project->factsOffered(), 'name'));
    }

    /** @return iterable<string, array{list<string>, list<string>, list<string>, list<string>}> left out, kept, its own, offered */
    public static function known(): iterable
    {
        yield 'nothing is known: those of shirts and of every garment' => [[], [], [], ['Sleeves longer', 'Narrow shoulders']];
        yield 'kept for the pattern' => [[], ['Sleeves longer'], [], ['Narrow shoulders']];
        yield 'among its own' => [[], [], ['Narrow shoulders'], ['Sleeves longer']];
        yield 'left out on purpose' => [['Sleeves longer', 'Narrow shoulders'], [], [], []];
    }

    public function testWithoutAPatternOrAPersonNothingIsOffered(): void
    {
        $person = new Person('suvi', 'Suvi', facts: [new Fact('Narrow shoulders')]);
        self::assertSame([], (new Project('x', 'X', Plan::season(), 1, brief: new ProjectBrief($person)))->factsOffered());
        self::assertSame([], (new Project('x', 'X', Plan::season(), 1, current: new Option('', new Pattern('p', 'P'))))->factsOffered());
    }

    public function testWhatIsInNoSeasonGetsClothAfterAllSeasonsAndHasNoChalkLine(): void
    {
        $cloth = Plan::cloth('1.50', Plan::cut('2.06', true));
        $version = Plan::version(['1.50' => '1.20']);
        $someday = Plan::project('someday', 1, $version, Plan::claim($cloth, id: 'a'), Season::none(), 100_000);
        $late = Plan::project('late', 9, $version, Plan::claim($cloth, id: 'b'), Plan::season('gale', '2029-03-01'));
        $all = [$someday, $late];
        $check = static fn (Season $season): ProjectAnswer => (new SeasonCheck(new Assumptions()))->check($season, $all)->projects[0];
        self::assertSame(Verdict::Fits, $check($late->season)->verdict);
        self::assertSame([Verdict::Short, false], [$check($someday->season)->verdict, $check($someday->season)->turn->below]);
    }

    public function testItsWaysAreWhatLeadsAndWhatMightStillBeTaken(): void
    {
        $past = (new Option('past'))->letGo();
        $project = new Project(
            'x',
            'X',
            Plan::season(),
            1,
            current: new Option('x', size: '14'),
            others: [new Option('other', size: '16'), $past],
        );
        self::assertSame([['x', '14'], ['other', '16']], array_map(
            static fn (Project $way): array => [$way->current->id, $way->current->size],
            $project->ways(),
        ));
    }
}
