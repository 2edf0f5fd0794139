<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Fit\ByFinished;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Season\Snag\SizeSnags;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A boxy top: drafted for busts of 88, 92, 96 and 100 cm, finished 104, 108, 112 and 116. */
final class ByFinishedTest extends TestCase
{
    #[DataProvider('eases')]
    public function testTheFinishedMeasureNearestToTheEaseDecides(int $bust, int $ease, ?string $size): void
    {
        $advice = (new ByFinished())->choose($this->person($bust), $this->top(), Length::ofMillimetres(10 * $ease));
        self::assertSame($size, $advice->size);
    }

    /** @return iterable<string, array{int, int, string}> bust, ease wanted, size */
    public static function eases(): iterable
    {
        yield '96 + 16 = 112' => [96, 16, 'L'];
        yield '96 + 12 = 108' => [96, 12, 'M'];
        yield '96 + 9 = 105, 104 is nearer than 108' => [96, 9, 'S'];
        yield '96 + 10 = 106, as near to 104 as to 108: the larger' => [96, 10, 'M'];
        yield 'below the smallest' => [96, 2, 'S'];
        yield 'beyond the largest' => [120, 10, 'XL'];
        yield 'stretched by 4: 112 − 4 = 108' => [112, -4, 'M'];
    }

    public function testBothSchoolsSayDifferentSizes(): void
    {
        $byBody = (new SizeChooser())->choose($this->person(96), $this->top());
        $byFinished = (new ByFinished())->choose($this->person(96), $this->top(), Length::ofMillimetres(100));
        self::assertSame(['L', 'M'], [$byBody->size, $byFinished->size]);
        self::assertSame(
            'Size M comes nearest: the finished bust is 108 cm, 12 cm of ease where 10 cm is wanted.',
            (string) $byFinished->sentence,
        );
        self::assertSame(
            ['bust of Suvi 960', 'Ease wanted 100', 'Finished measure of size M 1080'],
            array_map(
                static fn ($line): string => $line->label.' '.$line->figure->length->millimetres(),
                $byFinished->working->lines,
            ),
        );
    }

    public function testWhatWouldNotCloseElsewhereIsNamed(): void
    {
        $advice = (new ByFinished())->choose($this->person(96, 111), $this->top(), Length::ofMillimetres(120));
        self::assertSame(
            ['Hip: size M measures 110 cm when it is finished, and the body 111 cm.'],
            array_map(static fn (Sentence $flag): string => (string) $flag, $advice->flags),
        );
        self::assertSame([], (new ByFinished())->choose($this->person(96, 110), $this->top(), Length::ofMillimetres(120))->flags);
    }

    public function testWhatIsMissingIsNamed(): void
    {
        $ease = Length::ofMillimetres(100);
        $nobody = (new ByFinished())->choose(new Person('p', 'Suvi'), $this->top(), $ease);
        self::assertSame([null, 'Measure the bust of Suvi: it decides the size.'], [$nobody->size, (string) $nobody->sentence]);
        $bare = (new ByFinished())->choose(
            $this->person(96),
            new Pattern('t', 'Punt top', makes: new PatternGarment(garment: Garment::Top)),
            $ease,
        );
        self::assertStringContainsString('Punt top has no finished measure for the bust yet', (string) $bare->sentence);
    }

    public function testAProjectThatSaysWhatEaseIsWantedIsWarnedByTheFinishedGarment(): void
    {
        $said = fn (?int $ease, string $size): array => array_map(
            static fn (Snag $snag): string => (string) $snag->sentence,
            (new SizeSnags())->find(new Project(
                'top',
                'Top',
                Plan::season(),
                1,
                brief: new ProjectBrief($this->person(96), ease: null === $ease ? null : Length::ofMillimetres(10 * $ease)),
                current: new Option('', $this->top(), size: $size),
            )),
        );
        self::assertSame(['Top: size M is planned, and by the chart Suvi takes L.'], $said(null, 'M'));
        self::assertSame([], $said(12, 'M'));
        self::assertSame(
            ['Top: size M is planned, and with the ease wanted Suvi takes XL by the finished garment.'],
            $said(20, 'M'),
        );
    }

    private function person(int $bust, ?int $hip = null): Person
    {
        $points = [BodyPoint::Bust->value => Length::ofMillimetres(10 * $bust)];
        $points += null === $hip ? [] : [BodyPoint::Hip->value => Length::ofMillimetres(10 * $hip)];

        return new Person('p', 'Suvi', measured: [new Measured(new \DateTimeImmutable('2027-01-01'), $points)]);
    }

    private function top(): Pattern
    {
        $row = static fn (int ...$centimetres): array => array_combine(
            ['S', 'M', 'L', 'XL'],
            array_map(static fn (int $one): Length => Length::ofMillimetres(10 * $one), $centimetres),
        );

        return new Pattern(
            't',
            'Punt top',
            makes: new PatternGarment(garment: Garment::Top),
            chart: new SizeChart(
                ['S', 'M', 'L', 'XL'],
                [BodyPoint::Bust->value => $row(88, 92, 96, 100)],
                [BodyPoint::Bust->value => $row(104, 108, 112, 116), BodyPoint::Hip->value => $row(106, 110, 114, 118)],
            ),
        );
    }
}
