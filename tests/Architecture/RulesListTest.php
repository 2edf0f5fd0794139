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
            // the table of names has more columns
            static fn (string $line): bool => 1 === preg_match('/^\| (?!rule \|)[^-]/', $line) && 5 === substr_count($line, '|'),
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
