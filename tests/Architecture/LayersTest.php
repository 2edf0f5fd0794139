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

    /** A folder within a part would hide a circle. */
    #[DataProvider('trees')]
    public function testEveryNamespaceIsAPart(string $tree): void
    {
        $prefix = Layers::TREES[$tree][0];
        $parts = Layers::parts($tree);
        foreach (array_keys(Layers::uses($tree)) as $class) {
            $namespace = substr($class, 0, (int) strrpos($class, '\\'));
            self::assertContains($namespace === $prefix ? 'Kernel' : substr($namespace, \strlen($prefix) + 1), $parts, $class);
        }
    }

    #[DataProvider('trees')]
    public function testArrowsRunDownSoThatThereIsNoCycle(string $tree): void
    {
        $order = array_flip(Layers::parts($tree));
        foreach (Layers::arrows($tree) as $from => $arrows) {
            foreach ($arrows as $to => $by) {
                self::assertLessThan($order[$from], $order[$to], $from.' must not know '.$to.': '.implode(', ', $by));
                $rooms = str_starts_with($from, 'Room\\') && str_starts_with($to, 'Room\\') && !str_starts_with($to, $from.'\\');
                self::assertFalse($rooms, 'rooms never know one another: '.implode(', ', $by));
            }
        }
    }

    public function testThePictureIsOfThisCode(): void
    {
        $file = \dirname(__DIR__, 2).'/docs/layers.svg';
        self::assertStringEqualsFile($file, Layers::picture(), 'docs/layers.svg is of other code: bin/octavum layers draws it anew');
    }

    public function testTheListOfPartsIsOfThisCode(): void
    {
        $page = (string) file_get_contents(\dirname(__DIR__, 2).'/docs/architecture.md');
        self::assertStringContainsString(Layers::table(), $page, 'bin/octavum layers lists the parts anew');
    }

    /** @return iterable<string, array{string}> */
    public static function trees(): iterable
    {
        foreach (array_keys(Layers::TREES) as $tree) {
            yield $tree => [$tree];
        }
    }
}
