<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Edges;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Recovery;
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

    public function testWhatIsTriedChangesThatAlone(): void
    {
        $feel = new Feel(10, 20, Drape::Crisp, Opacity::Opaque, true, true, Recovery::SpringsBack, Edges::Curl, false);
        $same = new Feel(10, 20, Drape::Crisp, Opacity::Opaque, true, true, Recovery::SpringsBack, Edges::Curl, false);
        self::assertEquals($same, $feel->stretching(10, 20)->falling(Drape::Crisp)->hiding(Opacity::Opaque)->pressing(true));
        self::assertEquals(
            new Feel(30, 40, Drape::Fluid, Opacity::Sheer, false, true, Recovery::SpringsBack, Edges::Curl, false),
            $feel->stretching(30, 40)->falling(Drape::Fluid)->hiding(Opacity::Sheer)->pressing(false),
        );
    }
}
