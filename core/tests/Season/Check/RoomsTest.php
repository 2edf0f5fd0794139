<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLay;
use Octavum\Core\Project\Wish;
use Octavum\Core\Remedy\LaidAtOnce;
use Octavum\Core\Remedy\LaidNeed;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Gate\EnvelopeAsk;
use Octavum\Core\Season\Offers;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Shopping\Ask;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Shopping\ShoppingList;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * One need, worked out by hand, in every room: season and project, as an option, at the gate, in the shop, for several together, and
 * laid out on the table, in the remedies and in what is offered. Size S asks 1.20 m, L 1.60 m of cloth 140 cm wide.
 */
final class RoomsTest extends TestCase
{
    /**
     * @param int $needed by the table, mm
     * @param int $laid   of its pieces, two panels 70 cm long side by side and one below them, mm
     */
    #[DataProvider('cases')]
    public function testTheNeedIsTheSameInEveryRoom(Project $project, int $needed, int $laid): void
    {
        $role = $this->role($project);
        self::assertSame($needed, $role->amount()?->millimetres(), 'season and project');

        $option = $project->current;
        $other = new Project($project->id, 'Other', $project->season, 1, others: [$option]);
        $answers = (new SeasonCheck(new Assumptions()))->options($other, [$other]);
        self::assertSame($needed, $answers[0]->answer->roles[0]->amount()?->millimetres(), 'as an option');

        $toCut = $role->toCut ?? self::fail('It has a cut.');
        $ask = (new EnvelopeAsk(new Estimator(new Assumptions())))->read($project, $project->current->claims[0], $toCut);
        self::assertSame($needed, $ask?->millimetres(), 'at the gate');

        $together = new Project(
            't',
            'Two',
            $project->season,
            1,
            current: new Option(
                '',
                $project->current->pattern,
                $project->current->version,
                'S',
                copies: [new Copy(null, $project->current->size, $project->current->gradedTo, $project->current->claims)],
                alterations: $project->current->alterations,
                matching: $project->current->matching,
                claims: [new Claim('first', Role::Main)],
            ),
        );
        self::assertSame($needed, $this->roles($together)[1]->amount()?->millimetres(), 'sewn with others');

        self::assertSame($needed, $this->asked($project), 'in the shop');

        $memory = new LaidAtOnce(200);
        [$cloth, $cut] = [$project->current->claims[0]->cloth, $project->current->claims[0]->cut];
        self::assertNotNull($cloth);
        self::assertNotNull($cut);
        $found = (new LaidNeed(new Assumptions(), $memory))->find($project->wanted($project->current->claims[0]), $cloth, $cut);
        self::assertSame($laid, (int) $found?->millimetres(), 'laid, in the season and the remedies');
        $repeat = $project->asked($project->current->claims[0], new Assumptions())->repeat;
        self::assertSame(
            null !== $repeat,
            (new ProjectLay($project, $project->current->claims[0], new Assumptions()))->rules()->match,
            'on the table',
        );
        $pieces = $project->current->version?->pieces->in('L', Role::Main) ?? [];
        $wanted = $project->wanted($project->current->claims[0]);
        $offer = (new Offers(new Assumptions()))->find($pieces, 'L', [$cloth], wanted: $wanted)[0] ?? null;
        self::assertSame($laid, (int) $offer?->need->millimetres(), 'among the cuts that are offered');
    }

    /** @return iterable<string, array{Project, int, int}> */
    public static function cases(): iterable
    {
        yield 'as the envelope says' => [self::project(), 1600, 1400];
        yield '10 cm longer' => [self::project(by: 100), 1700, 1500];
        yield '10 cm shorter' => [self::project(by: -100), 1500, 1300];
        // a skirt has two main lengths: two repeats; laid, the lower panel begins at the next repeat that is free, 4 × 23 cm down
        yield 'a repeat of 23 cm' => [self::project(repeat: 230), 1600 + 460, 920 + 700];
        yield 'a repeat that nobody matches' => [self::project(repeat: 230, matching: Matching::Never), 1600, 1400];
        yield 'a repeat, and longer' => [self::project(repeat: 230, by: 100), 1700 + 460, 1000 + 720];
        // the larger of 15 % and 25 cm
        yield 'one-way' => [self::project(direction: Direction::OneWay), 1850, 1400];
        yield 'one-way, and longer' => [self::project(by: 100, direction: Direction::OneWay), 1850 + 100, 1500];
        // the row with nap of a narrower cloth, or the wider row and its allowance: the lesser
        yield 'one-way, the row with nap asks less' => [self::project(direction: Direction::OneWay, withNap: 1700), 1700, 1400];
        yield 'one-way, the row with nap asks more' => [self::project(direction: Direction::OneWay, withNap: 1900), 1850, 1400];
        yield 'both ways, the row with nap asks nothing' => [self::project(withNap: 1700), 1600, 1400];
        yield 'graded between' => [self::project(size: 'S', gradedTo: 'L'), 1600, 1400];
    }

    private static function project(
        int $by = 0,
        ?int $repeat = null,
        Matching $matching = Matching::MainSeams,
        Direction $direction = Direction::None,
        string $size = 'L',
        ?string $gradedTo = null,
        ?int $withNap = null,
    ): Project {
        $row = new Requirement(Role::Main, Length::ofMillimetres(1400), Nap::Without, [
            'S' => Length::ofMetres('1.2'),
            'L' => Length::ofMetres('1.6'),
        ]);
        $napped = null === $withNap ? [] : [new Requirement(Role::Main, Length::ofMillimetres(1150), Nap::With, [
            'S' => Length::ofMetres('1.3'),
            'L' => Length::ofMillimetres($withNap),
        ])];
        $panel = new Piece('Panel', Role::Main, 3, shapes: [new Shape([], Outline::rectangle(700, 600))]);
        $version = new Version('v', 'A', new RequirementTable(['S', 'L'], [$row, ...$napped]), pieces: PieceSet::of([$panel], ['S', 'L']));
        $cut = new Cut('cut', Plan::cut('3', true)->ledger);
        $cloth = new Cloth(
            'cloth',
            'Lawn',
            Width::of(Length::ofMillimetres(1400), Length::ofMillimetres(10)),
            look: new ClothLook(direction: $direction, repeat: null === $repeat ? null : Length::ofMillimetres($repeat)),
            cuts: [$cut],
        );

        return new Project(
            'p',
            'Skirt',
            Plan::season(),
            1,
            current: new Option(
                '',
                new Pattern('pattern', 'Skirt', makes: new PatternGarment(garment: Garment::Skirt), versions: [$version]),
                $version,
                $size,
                $gradedTo,
                alterations: 0 === $by ? [] : [new Alteration('by hand', Length::ofMillimetres($by))],
                claims: [new Claim('claim', Role::Main, $cloth, $cut)],
                matching: $matching,
            ),
        );
    }

    private function role(Project $project): RoleAnswer
    {
        return $this->roles($project)[0];
    }

    /** @return list<RoleAnswer> */
    private function roles(Project $project): array
    {
        return (new SeasonCheck(new Assumptions()))->check($project->season, [$project])->projects[0]->roles;
    }

    /** What is asked for where the same cloth is to be bought, before the wash, the ends and the counter. */
    private function asked(Project $project): float|int|null
    {
        $cloth = $project->current->claims[0]->cloth ?? self::fail('It has a cloth.');
        $wish = new Wish(
            'Lawn',
            FibreMix::unknown(),
            oneWay: $cloth->isOneWay(),
            repeat: $cloth->look->repeat,
            width: $cloth->width?->full,
        );
        $bought = new Project(
            'b',
            'Bought',
            $project->season,
            1,
            current: new Option(
                '',
                $project->current->pattern,
                $project->current->version,
                $project->current->size,
                $project->current->gradedTo,
                alterations: $project->current->alterations,
                claims: [new Claim('claim', Role::Main, wish: $wish)],
                matching: $project->current->matching,
            ),
        );
        $items = (new ShoppingList(new Assumptions(), Counter::TenCentimetres, System::Metric))->compile(Plan::check($bought));
        foreach ($items[0]->asks as $ask) {
            if (1400 === $ask['width']->millimetres() && $ask['ask'] instanceof Ask) {
                foreach ($ask['ask']->working->lines as $line) {
                    if ('Needed' === (string) $line->label) {
                        return $line->figure->length->millimetres();
                    }
                }
            }
        }

        return null;
    }
}
