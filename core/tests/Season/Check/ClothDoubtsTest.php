<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Check\ClothDoubts;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

final class ClothDoubtsTest extends TestCase
{
    public function testTheHeaviestTwoAreSaidTheHeavierFirst(): void
    {
        $said = $this->said(new Cloth('c', 'silk chiffon', cuts: [Plan::cut('3')]));
        self::assertCount(2, $said);
        self::assertStringContainsString('Falls {is}', $said[0]);
        self::assertStringContainsString('Too light', $said[1]);
    }

    public function testARefusalIsSaidFirst(): void
    {
        $said = $this->said(new Cloth('c', 'Plum', material: new Material(type: ClothType::Interlock), cuts: [Plan::cut('3')]));
        self::assertStringContainsString('Drafted for {only} cloth', $said[0]);
    }

    public function testWhatIsOverruledOrCutOrSuitsIsNotSaid(): void
    {
        $chiffon = new Cloth('c', 'silk chiffon', cuts: [Plan::cut('3')]);
        self::assertSame([], $this->said($chiffon, [Overrule::key('c', 'v') => 'a summer coat']));
        self::assertSame([], $this->said($chiffon, cutOut: true));
        self::assertSame([], $this->said(new Cloth('c', 'wool coating', cuts: [Plan::cut('3')])));
        self::assertSame([], $this->said($chiffon, role: Role::Lining));
    }

    /**
     * @param array<string, string> $overruled
     *
     * @return list<string>
     */
    private function said(Cloth $cloth, array $overruled = [], bool $cutOut = false, Role $role = Role::Main): array
    {
        $advice = new ClothAdvice(
            lightest: WeightClass::Heavy,
            heaviest: WeightClass::VeryHeavy,
            crispest: Drape::Crisp,
            mostFluid: Drape::Firm,
        );
        $version = new Version('v', 'A', new RequirementTable(['14'], []));
        $makes = new PatternGarment(garment: Garment::Coat, onlyFor: Structure::Woven, advice: $advice);
        $pattern = new Pattern('p', 'Coat', makes: $makes, versions: [$version]);
        $claim = new Claim('k', $role, $cloth, $cloth->cuts[0], cutOut: $cutOut);
        $project = new Project('x', 'Coat', Plan::season(), 1, new Option('o', $pattern, $version, size: '14', claims: [$claim]));

        return array_map(static function (Sentence $one): string {
            $guessed = $one->with['reason'] ?? null;

            return $guessed instanceof Sentence ? $guessed->message : $one->message;
        }, (new ClothDoubts())->find($project, new Sewist(), $overruled));
    }
}
