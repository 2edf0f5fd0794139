<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Match\Suit;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use PHPUnit\Framework\TestCase;

/** What the name of a cloth tells counts half, refuses nothing, and goes when something is known. */
final class GuessTest extends TestCase
{
    /** Garment, woven or knit, stretch at least, lightest and heaviest, crispest and most fluid, lined. */
    private const PATTERNS = [
        'coat' => [Garment::Coat, 'woven', null, 'heavy', 'very heavy', 'crisp', 'firm', true],
        'jacket' => [Garment::Jacket, 'woven', null, 'medium', 'heavy', 'crisp', 'soft', true],
        'shirt' => [Garment::Shirt, 'woven', null, 'light', 'medium', 'crisp', 'soft', false],
        'blouse' => [Garment::Top, 'woven', null, 'sheer', 'light', 'soft', 'fluid', false],
        'slip dress' => [Garment::Dress, 'woven', null, 'sheer', 'light', 'flowing', 'fluid', false],
        'tee' => [Garment::Tee, 'knit', 25, 'light', 'medium', 'soft', 'fluid', false],
        'swim leggings' => [Garment::Swimwear, 'knit', 50, 'medium', 'medium', 'firm', 'flowing', false],
        'sweatshirt' => [Garment::Jumper, 'knit', 15, 'medium', 'heavy', 'firm', 'soft', false],
        'jeans' => [Garment::Trousers, 'woven', null, 'heavy', 'very heavy', 'crisp', 'firm', false],
        'wide trousers' => [Garment::Trousers, 'woven', null, 'medium', 'heavy', 'soft', 'flowing', false],
        'bag' => [Garment::Bag, 'woven', null, 'heavy', 'very heavy', 'crisp', 'firm', false],
        'summer dress' => [Garment::Dress, 'woven', null, 'light', 'medium', 'firm', 'flowing', false],
    ];

    /** Sixty cloths as they are said, each for twelve patterns, judged by hand before the rules were run. */
    public function testSixtyClothsAsTheyAreSaid(): void
    {
        $agree = $all = 0;
        $off = [];
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/said.tsv'))) as $line) {
            if (str_starts_with($line, '#')) {
                continue;
            }
            [$said, $marks] = explode("\t", $line);
            $cloth = (new HaulReader())->read($said, System::Metric)->cloth(new Assumptions(), new \DateTimeImmutable('2026-12-02'));
            foreach (array_keys(self::PATTERNS) as $i => $name) {
                $judgement = $this->judge($cloth, $name);
                $group = $judgement->isRefused() ? Group::Not : Group::of(
                    Length::zero(),
                    true,
                    $judgement->isClear(),
                    $judgement->points,
                    unlikely: $judgement->isUnlikely(),
                    unknown: $judgement->isUnknown,
                );
                $wanted = $marks[$i];
                self::assertFalse('+' === $wanted && Group::Not === $group, $said.' is refused for '.$name);
                self::assertFalse('-' === $wanted && Group::MadeForIt === $group, $said.' is made for '.$name);
                ++$all;
                if (('-' === $wanted) === $group->mayBe() || '+' === $wanted && $judgement->points < 0) {
                    $off[] = $said.' for '.$name.': '.$group->value.' '.$judgement->points;
                } else {
                    ++$agree;
                }
            }
        }
        self::assertSame(720, $all);
        self::assertGreaterThanOrEqual(0.85, $agree / $all, implode("\n", $off));
    }

    public function testAGuessRefusesNothing(): void
    {
        foreach (['silk chiffon' => 'coat', 'organza' => 'jeans', 'denim' => 'slip dress', 'voile' => 'bag'] as $said => $name) {
            $judgement = $this->judge(new Cloth('c', $said), $name);
            self::assertFalse($judgement->isRefused(), $said);
            self::assertTrue($judgement->isUnlikely(), $said);
        }
        $one = $this->judge(new Cloth('c', 'poplin'), 'coat');
        self::assertFalse($one->isUnlikely(), 'one guess alone is a doubt');
        self::assertNotSame([], $one->withTenor(Tenor::Doubt));
    }

    public function testTheStructureOfATypeRefuses(): void
    {
        self::assertTrue($this->judge(new Cloth('c', 'chiffon'), 'tee')->isRefused());
        self::assertTrue($this->judge(new Cloth('c', 'interlock'), 'shirt')->isRefused());
        self::assertFalse($this->judge(new Cloth('c', 'lace'), 'shirt')->isRefused(), 'lace may be either');
        $said = new Cloth('c', 'interlock', material: new Material(structure: Structure::Woven));
        self::assertFalse($this->judge($said, 'shirt')->isRefused(), 'what is said goes before');
    }

    public function testAGuessCountsHalfAndGoesWhenSomethingIsKnown(): void
    {
        $points = fn (Material $material): int => $this->judge(new Cloth('c', 'crepe de chine', material: $material), 'jacket')->points;
        // too light by one class: 2, halved; too fluid by two steps: 6, halved
        self::assertSame(-1 - 3, $points(new Material()));
        self::assertSame(2 - 3, $points(new Material(weight: Weight::ofClass(WeightClass::Medium))));
        self::assertSame(2 + 3, $points(new Material(weight: Weight::ofGrams(200), feel: new Feel(drape: Drape::Soft))));
    }

    public function testNothingKnownIsNotKnownAndNotPossible(): void
    {
        $judgement = $this->judge(new Cloth('c', 'something blue'), 'shirt');
        self::assertTrue($judgement->isUnknown);
        self::assertSame(Group::Unknown, Group::of(Length::zero(), true, $judgement->isClear(), $judgement->points, unknown: true));
        self::assertFalse($this->judge(new Cloth('c', 'lawn'), 'shirt')->isUnknown);
    }

    public function testWhatIsKnownToBeSheerIsNotAskedWhetherItIs(): void
    {
        $questions = $this->judge(new Cloth('c', 'voile', material: new Material(weight: Weight::ofGrams(60))), 'blouse')
            ->withTenor(Tenor::Question);
        self::assertSame([], $questions);
    }

    private function judge(Cloth $cloth, string $name): Judgement
    {
        [$garment, $only, $stretch, $lightest, $heaviest, $crispest, $mostFluid, $lined] = self::PATTERNS[$name];
        $pattern = new Pattern(
            'p',
            $name,
            makes: new PatternGarment(
                garment: $garment,
                onlyFor: Structure::from($only),
                techniques: $lined ? [Technique::Lining] : [],
                advice: new ClothAdvice(
                    stretch: $stretch,
                    lightest: WeightClass::from($lightest),
                    heaviest: WeightClass::from($heaviest),
                    crispest: Drape::from($crispest),
                    mostFluid: Drape::from($mostFluid),
                ),
            ),
        );

        return (new Suit())->judge(Traits::of($cloth, 2500), Asks::of($pattern, new Version('v', 'A', new RequirementTable([], []))));
    }
}
