<?php

declare(strict_types=1);

namespace Octavum\Tests\Strip;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\System;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Tests\Season\Plan;
use Octavum\Strip\Mark;
use Octavum\Strip\Scale;
use Octavum\Strip\Strip;
use Octavum\Strip\StripBuilder;
use PHPUnit\Framework\TestCase;

final class StripBuilderTest extends TestCase
{
    public function testClaimsLieSideBySideAndTheShortfallRunsPastTheEnd(): void
    {
        $strip = $this->strip('2.5');
        $scale = Scale::row(Plan::length('2.7'));
        self::assertSame($scale->x(Plan::length('2.44')), $strip->shape->length, 'what can be cut from, not what was measured');
        self::assertSame(['Heron skirt', 'Shorts'], array_map(static fn (Mark $mark): string => $mark->project, $strip->marks));
        [$skirt, $shorts] = $strip->marks;
        self::assertEqualsWithDelta($skirt->reach->x + $skirt->reach->inside, $shorts->reach->x, 0.2);
        self::assertEqualsWithDelta($strip->shape->length, $shorts->reach->x + $shorts->reach->inside, 0.2);
        self::assertSame(0.0, $skirt->reach->over);
        self::assertEqualsWithDelta($scale->along * 0.26, $shorts->reach->over, 0.2);
        self::assertSame(260_000, $shorts->reach->missing?->micrometres);
        self::assertTrue($strip->isShared(), 'seen from the shorts, the skirt is another’s');
    }

    public function testAnUnknownWidthIsDrawnAsSuchAndAnUnknownLengthBare(): void
    {
        self::assertFalse($this->strip('2.5', null)->shape->widthKnown);
        $bare = (new StripBuilder())->cut(
            Plan::cloth('140 cm', Plan::cut(null)),
            Plan::cut(null),
            [],
            Scale::row(null),
            new Assumptions(),
            System::Metric,
        );
        self::assertFalse($bare->shape->lengthKnown);
        self::assertSame([], $bare->marks);
    }

    public function testALengthBeyondTheRoomIsTorn(): void
    {
        $cloth = Plan::cloth('140 cm', '20');
        $strip = (new StripBuilder())->cut($cloth, $cloth->cuts[0], [], Scale::row(Plan::length('20')), new Assumptions(), System::Metric);
        self::assertTrue($strip->shape->torn);
        self::assertLessThan(400, $strip->shape->length);
    }

    public function testTheTapeIsInTheReadersUnits(): void
    {
        $cloth = Plan::cloth('140 cm', '2.5');
        $names = static fn (System $system): array => array_column(
            (new StripBuilder())->cut($cloth, $cloth->cuts[0], [], Scale::row(Plan::length('2.5')), new Assumptions(), $system)->tape
                ->names,
            'name',
        );
        self::assertSame(['1 m', '2 m'], $names(System::Metric));
        self::assertSame(['1 yd', '2 yd'], $names(System::Imperial));
    }

    public function testNoClaimIsDrawnShorterThanNothing(): void
    {
        mt_srand(9);
        for ($i = 0; $i < 200; ++$i) {
            foreach ($this->strip(mt_rand(5, 900).' cm', 0 === $i % 4 ? null : '137 cm')->marks as $mark) {
                self::assertGreaterThanOrEqual(0, $mark->reach->inside);
                self::assertGreaterThanOrEqual(0, $mark->reach->over);
                self::assertLessThanOrEqual(mb_strlen($mark->project), mb_strlen($mark->label));
            }
        }
    }

    private function strip(string $length, ?string $width = '137 cm'): Strip
    {
        $cloth = Plan::cloth($width, Plan::cut($length, true));
        $season = (new SeasonCheck(new Assumptions()))->check(Plan::season(), [
            Plan::project('Heron skirt', 1, null, Plan::claim($cloth, stated: '1.5')),
            Plan::project('Shorts', 2, null, Plan::claim($cloth, stated: '1.2')),
        ]);

        return (new StripBuilder())->role($season->projects[1]->roles[0], 'Shorts', Scale::row(Plan::length('2.7')), System::Metric)
            ?? self::fail('No strip.');
    }
}
