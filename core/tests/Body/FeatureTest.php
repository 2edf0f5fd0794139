<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Body;

use Octavum\Core\Body\Feature;
use PHPUnit\Framework\TestCase;

final class FeatureTest extends TestCase
{
    public function testEveryFeatureStandsInOneShortList(): void
    {
        $lists = Feature::lists();
        self::assertSame(['neck', 'sleeves', 'front and closure', 'waist', 'pockets', 'ease', 'length and skirt'], array_keys($lists));
        self::assertSame(Feature::cases(), array_merge(...array_values($lists)), 'and they stand in the order of the lists');
        self::assertSame(['fitted', 'easy', 'loose', 'boxy'], array_column($lists['ease'], 'value'));
    }
}
