<?php

declare(strict_types=1);

namespace Octavum\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** docs/rules.md leads to classes and tests that are there. */
final class RulesListTest extends TestCase
{
    public function testEachRuleLeadsToItsClassAndTest(): void
    {
        $root = \dirname(__DIR__, 2);
        $rows = array_filter(
            explode("\n", (string) file_get_contents($root.'/docs/rules.md')),
            static fn (string $line): bool => 1 === preg_match('/^\| (?!rule \|)[^-]/', $line),
        );
        self::assertGreaterThan(40, \count($rows));
        foreach ($rows as $row) {
            [, $rule, , $classes, $tests] = explode('|', $row);
            foreach ([[$classes, 'core/src'], [$tests, 'core/tests']] as [$names, $folder]) {
                self::assertGreaterThan(0, preg_match_all('/`([\w\/]+)`/', $names, $found), $rule);
                foreach ($found[1] as $name) {
                    self::assertFileExists($root.'/'.$folder.'/'.$name.'.php', $rule);
                }
            }
        }
    }
}
