<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Feel;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use PHPUnit\Framework\TestCase;

final class FeelTest extends TestCase
{
    public function testTheStretchTest(): void
    {
        $length = static fn (int $millimetres): Length => Length::ofMillimetres($millimetres);
        self::assertSame(40, Feel::stretch($length(100), $length(140)), '10 cm that come to 14 are 40 %');
        self::assertSame(0, Feel::stretch($length(100), $length(100)));
        self::assertSame(33, Feel::stretch($length(150), $length(200)), 'rounded down');
        $this->expectException(Unreadable::class);
        Feel::stretch($length(100), $length(90));
    }

    public function testAStretchThatCannotBeIsRefused(): void
    {
        $this->expectException(Unreadable::class);
        new Feel(301);
    }
}
