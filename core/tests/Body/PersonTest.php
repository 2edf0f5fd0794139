<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Body;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Length;
use PHPUnit\Framework\TestCase;

final class PersonTest extends TestCase
{
    public function testTheLatestFigureOfEachPointCountsWhateverTheOrderOfTheDays(): void
    {
        $person = new Person('s', 'Suvi', true, '', [
            new Measured(new \DateTimeImmutable('2026-04-11'), [
                'height' => Length::ofMillimetres(1060),
                'bust' => Length::ofMillimetres(570),
            ]),
            new Measured(new \DateTimeImmutable('2026-10-31'), ['height' => Length::ofMillimetres(1095)]),
        ]);
        self::assertSame(1095, $person->at(BodyPoint::Height)?->millimetres());
        self::assertSame(570, $person->at(BodyPoint::Bust)?->millimetres());
        self::assertSame('2026-04-11', $person->measuredOn(BodyPoint::Bust)?->format('Y-m-d'));
        self::assertSame(35, $person->change(BodyPoint::Height)?->millimetres());
        self::assertNull($person->change(BodyPoint::Bust), 'one figure does not tell a change');
        self::assertNull($person->at(BodyPoint::Hip));
        self::assertTrue($person->isStale(BodyPoint::Bust, new \DateTimeImmutable('2026-11-25')));
        self::assertFalse($person->isStale(BodyPoint::Height, new \DateTimeImmutable('2026-11-25')));
        self::assertFalse($person->isStale(BodyPoint::Hip, new \DateTimeImmutable('2026-11-25')), 'what was never measured is not old');
    }

    public function testSewingForAChildComesWithACaution(): void
    {
        self::assertNull((new Person('o', 'Ottoline'))->caution());
        self::assertStringContainsString('can be swallowed', (string) (new Person('s', 'Suvi', true))->caution());
    }
}
