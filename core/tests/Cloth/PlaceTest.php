<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Place;
use PHPUnit\Framework\TestCase;

final class PlaceTest extends TestCase
{
    public function testAPlaceLiesInPlaces(): void
    {
        self::assertSame(['Cabin', 'Cabin / locker 2', 'Cabin / locker 2 / box 3'], Place::paths('Cabin > locker 2, box 3'));
        self::assertSame([], Place::paths(' / , '));
        self::assertTrue(Place::isWithin('cabin / Locker 2 / box 3', 'Cabin, locker 2'));
        self::assertTrue(Place::isWithin('Locker 2', 'locker 2'));
        self::assertFalse(Place::isWithin('Locker 21', 'Locker 2'));
        self::assertFalse(Place::isWithin('Cabin', 'Cabin / locker 2'));
        self::assertTrue(Place::isWithin('anywhere', ''));
    }
}
