<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Match;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Edges;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Cloth\Recovery;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Warmth;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\MadeBefore;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\ToileSchool;
use Octavum\Core\Match\Criteria\Tool;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\MatchScores;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Match\Suit;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pairs of a cloth and a version, judged by hand from the rules of the trade: the reason is expected, not only a rank. */
final class PairsTest extends TestCase
{
    private const TENORS = ['+' => Tenor::Praise, '-' => Tenor::Doubt, '!' => Tenor::Refusal, '?' => Tenor::Question, '.' => Tenor::Fact];

    #[DataProvider('pairs')]
    public function testAPairIsJudgedForTheReasonASewistWouldGive(string $cloth, string $version, string $tenor, string $words): void
    {
        $judgement = (new Suit())->judge(Traits::of(self::cloth($cloth), 2500), self::asks($version));
        $said = array_filter(
            $judgement->reasons,
            static fn (Reason $reason): bool => str_contains(mb_strtolower((string) $reason->sentence), mb_strtolower($words)),
        );
        $all = implode(
            ' | ',
            array_map(static fn (Reason $reason): string => $reason->tenor->name.': '.$reason->sentence, $judgement->reasons),
        );
        if ('0' === $tenor) {
            self::assertSame([], $said, $all);

            return;
        }
        self::assertCount(1, $said, $all);
        $reason = reset($said);
        self::assertSame(self::TENORS[$tenor], $reason->tenor, $all);
        self::assertSame(Tenor::Refusal === $reason->tenor, $judgement->isRefused());
        self::assertSame(
            match ($reason->tenor) {
                Tenor::Praise => 1,
                Tenor::Doubt => -1,
                default => 0,
            },
            $reason->points <=> 0,
        );
    }

    /** @return iterable<string, list<string>> */
    public static function pairs(): iterable
    {
        foreach (explode("\n", (string) file_get_contents(__DIR__.'/pairs.tsv')) as $line) {
            if ('' !== $line && !str_starts_with($line, '#')) {
                yield $line => explode("\t", $line);
            }
        }
    }

    public function testTheLineOfThePairsIsLongEnough(): void
    {
        self::assertGreaterThanOrEqual(80, iterator_count(self::pairs()));
    }

    /** Further off counts more: two steps of drape twice as much as one. */
    public function testHowFarOffCounts(): void
    {
        $points = static fn (string $cloth, string $version): int => (new Suit())->judge(
            Traits::of(self::cloth($cloth), 2500),
            self::asks($version),
        )->points;
        self::assertSame(-3, $points('woven twill drape:firm', 'dress drape:soft..fluid'));
        self::assertSame(-6, $points('woven twill drape:crisp', 'dress drape:soft..fluid'));
        self::assertSame(-6, $points('woven twill drape:crisp', 'dress drape:fluid..fluid'), 'and no more');
        self::assertSame(3, $points('woven twill drape:soft', 'dress drape:soft..fluid'));
        self::assertSame(-2, $points('woven twill weight:heavy', 'dress weight:light..medium'));
        self::assertSame(-4, $points('woven twill weight:very heavy', 'dress weight:light..medium'));
    }

    /** What a rule says it sees of a cloth is all it looks at: marks worked out once for what is alike are those of each pair. */
    public function testMarksOfAllPairsAreWhatTheRulesSayOfEach(): void
    {
        $pairs = array_values(iterator_to_array(self::pairs()));
        $cloths = array_map(static fn (array $pair): Traits => Traits::of(self::cloth($pair[0]), 2500), $pairs);
        $versions = array_map(static fn (array $pair): Asks => self::asks($pair[1]), $pairs);
        $marks = new MatchScores($cloths, $versions);
        $refused = 0;
        foreach ($cloths as $i => $cloth) {
            foreach ($versions as $j => $asks) {
                $judgement = (new Suit())->judge($cloth, $asks);
                $expected = $judgement->isRefused() ? null : [$judgement->points, $judgement->isClear(), $judgement->isUnlikely()];
                self::assertSame($expected, $marks->score($i, $j), $pairs[$i][0].' for '.$pairs[$j][1]);
                $refused += (int) (null === $expected);
            }
        }
        self::assertGreaterThan(500, $refused);
    }

    private static function cloth(string $words): Cloth
    {
        [$says, $rest] = self::read($words, ['weight', 'drape', 'recovery', 'opacity', 'print', 'edges', 'care']);
        $type = $structure = null;
        $shares = [];
        foreach (['cotton', 'polyester', 'silk', 'wool'] as $fibre) {
            $shares += isset($says[$fibre]) ? [$fibre => (int) $says[$fibre]] : [];
        }
        foreach (Structure::cases() as $one) {
            if (str_starts_with($rest, $one->value)) {
                $structure = $one;
                $rest = trim(substr($rest, \strlen($one->value)));
            }
        }
        $type = '' === $rest ? null : ClothType::from($rest);

        return new Cloth(
            'c',
            'A cloth',
            material: new Material(structure: $structure, type: $type, fibres: [] === $shares ? null : FibreMix::of(
                $shares,
                Knowledge::Label,
            ), weight: isset($says['weight']) ? Weight::ofClass(WeightClass::from($says['weight'])) : null, feel: new Feel(
                isset($says['across']) ? (int) $says['across'] : null,
                isset($says['along']) ? (int) $says['along'] : null,
                Drape::tryFrom($says['drape'] ?? ''),
                Opacity::tryFrom($says['opacity'] ?? ''),
                isset($says['crease']) ? 'yes' === $says['crease'] : null,
                isset($says['side']) ? false : null,
                Recovery::tryFrom($says['recovery'] ?? ''),
                Edges::tryFrom($says['edges'] ?? ''),
                isset($says['back']) ? 'yes' === $says['back'] : null,
            ), care: CareLabel::tryFrom($says['care'] ?? '')),
            look: new ClothLook(
                print: PrintKind::from($says['print'] ?? 'plain'),
                motif: isset($says['motif']) ? Length::of($says['motif'], Unit::Millimetre) : null,
            ),
            purchase: new Purchase(
                pricePerMetre: isset($says['price']) ? (int) $says['price'] : null,
                moreToBeHad: isset($says['more']) ? 'yes' === $says['more'] : null,
            ),
        );
    }

    private static function asks(string $words): Asks
    {
        $long = ['weight', 'drape', 'tech', 'feat', 'notfor', 'likes', 'avoids', 'learns', 'lacks', 'days', 'says'];
        [$says, $rest] = self::read($words, $long);
        $lined = str_ends_with($rest, ' lined');
        $range = static fn (string $name): array => isset($says[$name]) ? explode('..', $says[$name]) : ['', ''];
        $techniques = static fn (string $name): array => array_map(
            Technique::from(...),
            isset($says[$name]) ? explode('+', $says[$name]) : [],
        );
        $likings = [];
        if (isset($says['likes'])) {
            [$feature, $liking] = explode('=', $says['likes']);
            $likings[$feature] = Liking::from($liking);
        }
        $pattern = new Pattern(
            'p',
            'A pattern',
            makes: new PatternGarment(garment: Garment::from($lined ? substr($rest, 0, -6) : $rest), onlyFor: Structure::tryFrom(
                $says['only'] ?? '',
            ), techniques: [...$techniques('tech'), ...$lined ? [Technique::Lining] : []], advice: new ClothAdvice(
                $says['says'] ?? '',
                isset($says['stretch']) ? (int) $says['stretch'] : null,
                WeightClass::tryFrom($range('weight')[0]),
                WeightClass::tryFrom($range('weight')[1]),
                Drape::tryFrom($range('drape')[0]),
                Drape::tryFrom($range('drape')[1]),
                $says['notfor'] ?? '',
            )),
        );
        $features = array_map(Feature::from(...), isset($says['feat']) ? explode('+', $says['feat']) : []);

        $version = new Version('v', 'A', new RequirementTable([], []), features: $features);
        $sewist = new Sewist(
            $techniques('avoids'),
            $techniques('learns'),
            array_map(Tool::from(...), isset($says['lacks']) ? [$says['lacks']] : []),
            ToileSchool::FirstTime,
            ['p' => array_fill(0, (int) ($says['made'] ?? 0), new MadeBefore('v', 'o', isGood: true))],
            Warmth::tryFrom($says['days'] ?? ''),
        );

        return Asks::of($pattern, $version, new Person('o', 'Ottoline', likings: $likings), $sewist);
    }

    /**
     * Words of the form name:value, whose value may have spaces for some names, and what is before and between them.
     *
     * @param list<string> $long names whose value goes on to the next name
     *
     * @return array{array<string, string>, string}
     */
    private static function read(string $words, array $long): array
    {
        $says = [];
        $rest = [];
        $name = null;
        foreach (explode(' ', $words) as $word) {
            $parts = explode(':', $word, 2);
            if (isset($parts[1])) {
                $name = $parts[0];
                $says[$name] = $parts[1];
            } elseif (null !== $name && \in_array($name, $long, true) && 'lined' !== $word) {
                $says[$name] .= ' '.$word;
            } else {
                $rest[] = $word;
            }
        }

        return [$says, implode(' ', $rest)];
    }
}
