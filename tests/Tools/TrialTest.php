<?php

declare(strict_types=1);

namespace Octavum\Tests\Tools;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** A short run of each trial, on a server of its own; a machine may be busy, so that no answer is called slow. */
final class TrialTest extends TestCase
{
    public function testNothingBadIsFound(): void
    {
        $trial = new Process(
            ['bin/octavum', 'trial', '--seconds', '2', '--slow', '100'],
            \dirname(__DIR__, 2),
            ['APP_ENV' => false, 'APP_DEBUG' => false, 'APP_SECRET' => false, 'OCTAVUM_DATA' => false, 'KERNEL_CLASS' => false],
            null,
            1200,
        );
        $trial->run();
        self::assertSame(0, $trial->getExitCode(), $trial->getOutput().$trial->getErrorOutput());
        foreach (['import', 'forms', 'isolation', 'uploads', 'kill', 'load'] as $name) {
            self::assertMatchesRegularExpression('/^'.$name.' +[1-9]\d* tried, 0 bad/m', $trial->getOutput());
        }
    }
}
