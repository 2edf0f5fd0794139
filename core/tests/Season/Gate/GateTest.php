<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Gate;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Gate\Check;
use Octavum\Core\Season\Gate\Gate;
use Octavum\Core\Season\Gate\GateLine;
use PHPUnit\Framework\TestCase;

/** A skirt of 2 m from 3 m of a washed cloth: all that can be known is clear but the lay, and five things are asked. */
final class GateTest extends TestCase
{
    public function testWhatIsKnownIsToldAndWhatIsNotIsAsked(): void
    {
        $states = $this->states($this->gate());
        self::assertSame([
            'here' => 'clear',
            'enough' => 'clear',
            'laid' => 'open',
            'washed' => 'clear',
            'measured' => 'clear',
            'pattern' => 'clear',
            'alterations' => 'clear',
            'toile' => 'clear',
            'notions' => 'clear',
            'pressed' => 'asked',
            'squared' => 'asked',
            'pieces' => 'asked',
            'right side' => 'asked',
        ], $states);
    }

    public function testATickAnswersWhatIsAskedAndOnlyAWordWaivesWhatIsOpen(): void
    {
        $ticks = ['pressed' => '', 'squared' => '', 'pieces' => '', 'right side' => ''];
        $lines = $this->gate(said: $ticks + ['laid' => '']);
        self::assertSame('open', $this->states($lines)['laid'], 'a tick does not lay it out');
        self::assertSame('ticked', $this->states($lines)['pressed']);
        self::assertFalse(Gate::isOpen($lines));
        $lines = $this->gate(said: $ticks + ['laid' => 'chalked by hand']);
        self::assertSame('waived', $this->states($lines)['laid']);
        self::assertTrue(Gate::isOpen($lines));
        self::assertFalse(Gate::isOpen($this->gate(said: ['laid' => 'chalked by hand'])));
    }

    public function testWhatIsShortNotWashedGoneOrNotKnownIsOpen(): void
    {
        self::assertSame('open', $this->states($this->gate(long: 1900))['enough']);
        $raw = $this->states($this->gate(washed: false));
        self::assertSame(['open', 'open'], [$raw['washed'], $raw['measured']]);
        self::assertSame('open', $this->states($this->gate(size: null))['pattern']);
        $knit = $this->gate(only: Structure::Knit);
        self::assertSame('open', $this->states($knit)['pattern']);
        self::assertStringContainsString('is for knit cloth only', (string) $this->line($knit, Check::Pattern)->sentence);
        self::assertSame('open', $this->states($this->gate(size: null))['enough'], 'without a size nobody knows');
        self::assertSame('waived', $this->states($this->gate(long: 1900, said: ['enough' => 'the hem is shorter']))['enough']);
    }

    public function testAlterationsToileAndDirectionAreAskedWhereThereAreAny(): void
    {
        $longer = new Alteration('longer', Length::ofMillimetres(50));
        $lines = $this->gate(alterations: [$longer], toile: [new Sentence('You always sew one.')]);
        self::assertSame(['asked', 'asked'], [$this->states($lines)['alterations'], $this->states($lines)['toile']]);
        self::assertSame('Drawn on the paper: longer?', (string) $this->line($lines, Check::Alterations)->sentence);
        $oneWay = $this->line($this->gate(oneWay: true, long: 3000), Check::RightSide)->sentence;
        self::assertStringContainsString('goes one way only', (string) $oneWay);
    }

    public function testNotionsOnTheWayAreClearWhenTheyComeBeforeTheStepThatNeedsThem(): void
    {
        $inTime = $this->line($this->gate(zipComes: '2027-03-01'), Check::Notions);
        self::assertSame('clear', $inTime->state->value);
        self::assertSame('Ordered, and here before the step that needs it: zip 20 cm.', (string) $inTime->sentence);
        $late = $this->line($this->gate(zipComes: '2027-05-01'), Check::Notions);
        self::assertSame('open', $late->state->value);
        self::assertStringContainsString('after “Set the zip”', (string) $late->sentence);
    }

    public function testTheScissorsLeaveWhatIsLeft(): void
    {
        $cut = $this->cut(3000, true);
        $day = new \DateTimeImmutable('2027-03-02');
        self::assertSame(900, $cut->cutOff(Length::ofMillimetres(2100), $day, 'Skirt')->length?->millimetres());
        self::assertFalse($cut->cutOff(Length::ofMillimetres(2100), $day, 'Skirt')->gone);
        self::assertTrue($cut->cutOff(Length::ofMillimetres(3000), $day, 'Skirt')->gone, 'all of it is used');
        $remnant = $cut->remnant(Length::ofMillimetres(400), Length::ofMillimetres(300), $day, 'Skirt');
        self::assertSame([400, 300, true], [$remnant->length?->millimetres(), $remnant->width?->millimetres(), $remnant->settled]);
        self::assertFalse($this->cut(3000, false)->remnant(Length::ofMillimetres(400), Length::ofMillimetres(300), $day, '')->settled);
        $this->expectException(Unreadable::class);
        $cut->cutOff(Length::ofMillimetres(3001), $day, 'Skirt');
    }

    /**
     * @param array<string, string> $said
     * @param list<Alteration>      $alterations
     * @param list<Sentence>        $toile
     *
     * @return list<GateLine>
     */
    private function gate(
        int $long = 3000,
        bool $washed = true,
        ?string $size = '14',
        array $said = [],
        array $alterations = [],
        array $toile = [],
        bool $oneWay = false,
        ?Structure $only = null,
        ?string $zipComes = null,
    ): array {
        $cloth = new Cloth(
            'c',
            'Linen',
            Width::of(Length::ofMillimetres(1500), Length::ofMillimetres(10)),
            material: new Material(structure: Structure::Woven),
            look: new ClothLook(direction: $oneWay ? Direction::OneWay : Direction::None),
            cuts: [$this->cut($long, $washed)],
        );
        $row = new Requirement(Role::Main, Length::ofMillimetres(1500), Nap::Either, [14 => Length::ofMillimetres(2000)]);
        $version = new Version('v', 'A', new RequirementTable(['14'], [$row]), null === $zipComes ? [] : ['zip 20 cm']);
        $zip = new Notion('z', NotionKind::Zip, Length::ofMillimetres(200), 1, expected: new \DateTimeImmutable($zipComes ?? 'now'));
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 13, 270);
        $project = new Project(
            'p',
            'Skirt',
            $season,
            1,
            current: new Option(
                '',
                new Pattern('t', 'Skirt', makes: new PatternGarment(onlyFor: $only), versions: [$version]),
                $version,
                $size,
                alterations: $alterations,
                claims: [new Claim('k', Role::Main, $cloth, $cloth->cuts[0])],
            ),
        );
        $check = new SeasonCheck(new Assumptions(), null === $zipComes ? [] : [$zip]);
        $answer = $check->check($season, [$project])->projects[0];

        return (new Gate())->check($answer, $answer->roles[0], $toile, $said);
    }

    private function cut(int $long, bool $washed): Cut
    {
        $day = new \DateTimeImmutable('2026-10-01');

        return new Cut('cut', [
            ...$washed ? [new LedgerEntry($day, LedgerKind::Washed)] : [],
            new LedgerEntry($day, LedgerKind::Measured, Length::ofMillimetres($long)),
        ]);
    }

    /**
     * @param list<GateLine> $lines
     *
     * @return array<string, string>
     */
    private function states(array $lines): array
    {
        $states = [];
        foreach ($lines as $line) {
            $states[$line->check->value] = $line->state->value;
        }

        return $states;
    }

    /** @param list<GateLine> $lines */
    private function line(array $lines, Check $check): GateLine
    {
        return array_values(array_filter($lines, static fn (GateLine $line): bool => $check === $line->check))[0];
    }
}
