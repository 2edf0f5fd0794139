<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LayersTest extends TestCase
{
    #[DataProvider('trees')]
    public function testEveryClassIsInAPart(string $tree): void
    {
        foreach (array_keys(Layers::uses($tree)) as $class) {
            self::assertNotNull(Layers::partOf($tree, $class), $class.' is in no part of Layers');
        }
    }

    #[DataProvider('trees')]
    public function testArrowsRunDownSoThatThereIsNoCycle(string $tree): void
    {
        $order = array_flip(Layers::TREES[$tree][1]);
        foreach (Layers::arrows($tree) as $from => $arrows) {
            foreach ($arrows as $to => $by) {
                self::assertLessThan($order[$from], $order[$to], $from.' must not know '.$to.': '.implode(', ', $by));
                $rooms = str_starts_with($from, 'Room\\') && str_starts_with($to, 'Room\\');
                self::assertFalse($rooms, 'rooms never know one another: '.implode(', ', $by));
            }
        }
    }

    public function testThePictureIsOfThisCode(): void
    {
        $file = \dirname(__DIR__, 2).'/docs/layers.svg';
        self::assertStringEqualsFile($file, Layers::picture(), 'docs/layers.svg is of other code: bin/octavum layers draws it anew');
    }

    /** @return iterable<string, array{string}> */
    public static function trees(): iterable
    {
        foreach (array_keys(Layers::TREES) as $tree) {
            yield $tree => [$tree];
        }
    }
}
