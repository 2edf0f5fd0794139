<?php

declare(strict_types=1);

namespace Octavum\Tools;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\Fibre;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Width;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\Season;
use Octavum\Core\Workroom\Settings;
use Octavum\Core\Workroom\Workroom;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A made-up workroom of any size, the same for the same numbers, to measure and test with. */
final class LargeWorkroom
{
    private const WORDS = ['Moss', 'Ember', 'Tarn', 'Bramble', 'Slate', 'Kelp', 'Dune', 'Rook', 'Fallow', 'Cinder', 'Brook', 'Thistle'];
    private const CLOTHS = ['lawn', 'twill', 'jersey', 'tweed', 'linen', 'crepe', 'canvas', 'poplin'];
    private const SIZES = ['8', '10', '12', '14', '16', '18', '20'];

    private readonly Randomizer $random;

    /** Of what cloths and patterns are like, so that lengths and numbers stay what they were without it. */
    private readonly Randomizer $likeness;

    public function __construct(int $seed = 1)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->likeness = new Randomizer(new Mt19937($seed + 1));
    }

    public function make(int $cloths = 500, int $cuts = 700, int $patterns = 1000, int $projects = 60): Workroom
    {
        $season = new Season('season', 'Thaw', new \DateTimeImmutable('2027-03-01'), 13, 270);
        $people = [new Person('person-0', 'Ottoline'), new Person('person-1', 'Suvi', true)];
        $stash = [];
        for ($i = 0; $i < $cloths; ++$i) {
            $stash[] = $this->cloth($i, 1 + ($i < $cuts - $cloths ? 1 : 0));
        }
        $library = array_map($this->pattern(...), range(0, $patterns - 1));
        $plan = [];
        for ($i = 0; $i < $projects; ++$i) {
            $pattern = $library[$this->number(0, $patterns - 1)];
            $version = $pattern->versions[$this->number(0, \count($pattern->versions) - 1)];
            $plan[] = new Project(
                'project-'.$i,
                $pattern->title.' '.($i + 1),
                $season,
                $i + 1,
                brief: new ProjectBrief($people[$i % 2]),
                current: new Option(
                    'option-'.$i.'-now',
                    $pattern,
                    $version,
                    self::SIZES[$this->number(0, 6)],
                    claims: $this->claims('claim-'.$i, $stash),
                ),
                others: array_map(
                    fn (int $n): Option => new Option(
                        'option-'.$i.'-'.$n,
                        $pattern,
                        $pattern->versions[$this->number(0, \count($pattern->versions) - 1)],
                        self::SIZES[$this->number(0, 6)],
                        claims: $this->claims('claim-'.$i.'-'.$n, $stash),
                    ),
                    [1, 2],
                ),
            );
        }

        return new Workroom(
            'A large workroom',
            new Settings(),
            $people,
            cloths: $stash,
            patterns: $library,
            seasons: [$season],
            projects: $plan,
        );
    }

    /**
     * @param list<Cloth> $stash
     *
     * @return list<Claim>
     */
    private function claims(string $id, array $stash): array
    {
        $claims = [];
        foreach ([Role::Main, Role::Lining] as $role) {
            $cloth = $stash[$this->number(0, \count($stash) - 1)];
            $claims[] = new Claim($id.'-'.$role->value, $role, $cloth, $cloth->cuts[0]);
        }

        return $claims;
    }

    private function cloth(int $i, int $cuts): Cloth
    {
        $fibre = Fibre::cases()[$this->number(0, 12)];
        $width = $this->number(0, 9);

        return new Cloth(
            'cloth-'.$i,
            $this->word(self::WORDS).' '.$this->word(self::CLOTHS).' '.$i,
            0 === $width ? null : Width::of(Length::ofMillimetres($this->number(900, 1600)), Length::ofMillimetres(10)),
            material: new Material(structure: 0 === $i % 3 ? Structure::Knit : Structure::Woven, fibres: FibreMix::of(
                [$fibre->value => 100],
                Knowledge::Label,
            ), weight: Weight::ofGrams($this->likeness->getInt(60, 420)), feel: new Feel(
                0 === $i % 3 ? $this->likeness->getInt(5, 80) : null,
                drape: Drape::cases()[$this->likeness->getInt(0, 4)],
                opacity: Opacity::cases()[$this->likeness->getInt(0, 2)],
            )),
            look: new ClothLook(
                print: PrintKind::cases()[$this->number(0, 4)],
                direction: Direction::cases()[$this->number(0, 2)],
                colours: [\sprintf('#%06x', $this->number(0, 0xFFFFFF)), \sprintf('#%06x', $this->number(0, 0xFFFFFF))],
            ),
            keeping: new Keeping(place: 'Locker '.$this->number(1, 6)),
            cuts: array_map(
                fn (int $j): Cut => new Cut('cut-'.$i.'-'.$j, [
                    new LedgerEntry(
                        new \DateTimeImmutable('2026-10-01'),
                        LedgerKind::Bought,
                        Length::ofMillimetres($this->number(400, 4500)),
                    ),
                    ...0 === $this->number(0, 1)
                        ? [
                            new LedgerEntry(
                                new \DateTimeImmutable('2026-11-01'),
                                LedgerKind::Washed,
                                Length::ofMillimetres($this->number(400, 4500)),
                            ),
                        ]
                        : [],
                ]),
                range(0, $cuts - 1),
            ),
        );
    }

    private function pattern(int $i): Pattern
    {
        return new Pattern(
            'pattern-'.$i,
            $this->word(self::WORDS).' '.Garment::cases()[$i % 19]->value,
            label: new PatternLabel(maker: 'Marrowlane', number: 'T'.$i),
            makes: new PatternGarment(
                garment: Garment::cases()[$i % 19],
                onlyFor: 0 === $i % 4 ? null : (0 === $i % 3 ? Structure::Knit : Structure::Woven),
                minutes: 60 * $this->number(1, 12),
                techniques: [Technique::cases()[$this->likeness->getInt(0, 18)], Technique::cases()[$this->likeness->getInt(0, 18)]],
                advice: $this->advice($i),
            ),
            versions: array_map(function (int $j) use ($i): Version {
                $base = $this->number(900, 2600);
                $row = static fn (Role $role, int $width, int $least): Requirement => new Requirement(
                    $role,
                    Length::ofMillimetres($width),
                    Nap::Without,
                    array_combine(
                        self::SIZES,
                        array_map(static fn (int $k): Length => Length::ofMillimetres($least + 40 * $k), array_keys(self::SIZES)),
                    ),
                );

                return new Version(
                    'version-'.$i.'-'.$j,
                    ['A', 'B', 'C'][$j],
                    new RequirementTable(self::SIZES, [
                        $row(Role::Main, 1150, $base),
                        $row(Role::Main, 1500, intdiv($base * 4, 5)),
                        $row(Role::Lining, 1150, intdiv($base, 2)),
                    ]),
                    features: [Feature::cases()[$this->likeness->getInt(0, 34)], Feature::cases()[$this->likeness->getInt(0, 34)]],
                );
            }, range(0, 2)),
        );
    }

    private function advice(int $i): ClothAdvice
    {
        [$weight, $drape] = [$this->likeness->getInt(0, 3), $this->likeness->getInt(0, 3)];

        return new ClothAdvice(
            self::CLOTHS[$this->likeness->getInt(0, 7)],
            0 === $i % 6 ? 10 * $this->likeness->getInt(1, 5) : null,
            WeightClass::cases()[$weight],
            heaviest: WeightClass::cases()[$weight + 1],
            crispest: Drape::cases()[$drape],
            mostFluid: Drape::cases()[$drape + 1],
        );
    }

    /** @param non-empty-list<string> $words */
    private function word(array $words): string
    {
        return $words[$this->number(0, \count($words) - 1)];
    }

    private function number(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }
}
