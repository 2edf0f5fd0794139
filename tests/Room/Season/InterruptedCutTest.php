<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Season;

use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\PhpSubprocess;

/** The process that cuts is killed, fifty times, at each row it changes and on to the answer: all of the cut is there, or nothing. */
final class InterruptedCutTest extends TestCase
{
    private const KILLS = 50;

    private string $data;

    protected function setUp(): void
    {
        $this->data = sys_get_temp_dir().'/octavum-killed-'.bin2hex(random_bytes(4));
        (new Filesystem())->mkdir($this->data);
        (new \PDO('sqlite:'.PageTestCase::data().'/octavum.sqlite'))->exec("VACUUM INTO '$this->data/whole.sqlite'");
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->data);
    }

    public function testAnInterruptedCutLeavesAllOrNothing(): void
    {
        $kills = $all = $nothing = 0;
        for ($at = 1; $kills < self::KILLS; ++$at) {
            $this->fresh();
            $option = $this->one("SELECT current_id FROM project WHERE name = 'Heron skirt'");
            $claim = $this->one("SELECT id FROM claim WHERE cut_id IS NOT NULL AND option_id = '$option'");
            $process = new PhpSubprocess([\dirname(__DIR__, 2).'/cut-and-die.php', $claim, (string) $at], env: [
                'APP_ENV' => 'test',
                'APP_DEBUG' => '0',
                'APP_SECRET' => 'test',
                'OCTAVUM_DATA' => $this->data,
            ]);
            try {
                $process->run();
                $killed = false;
            } catch (ProcessSignaledException) {
                $killed = true;
            }
            self::assertTrue($killed || 0 === $process->getExitCode(), $process->getErrorOutput().$process->getOutput());
            $written = [
                (int) $this->one("SELECT count(*) FROM claim WHERE id = '$claim' AND cut_out = 1 AND gate LIKE '%killed%'"),
                (int) $this->one("SELECT count(*) FROM cut WHERE ledger LIKE '%; killed%'"),
                (int) $this->one("SELECT count(*) FROM cut WHERE ledger LIKE '%\"remnant\"%Heron skirt%' AND removed_at IS NULL"),
                (int) $this->one("SELECT count(*) FROM project WHERE name = 'Heron skirt' AND state = 'cut'"),
            ];
            self::assertCount(1, array_unique($written), 'killed at change '.$at.': '.implode(' ', $written));
            self::assertSame('ok', $this->one('PRAGMA integrity_check'));
            $kills += (int) $killed;
            $all += $written[0];
            $nothing += 1 - $written[0];
            if (!$killed) {
                self::assertGreaterThan(8, $at, 'every row it changes was a place to die');
                $at = 0;
            }
        }
        self::assertGreaterThan(0, $all);
        self::assertGreaterThan($all, $nothing);
    }

    private function fresh(): void
    {
        $files = new Filesystem();
        $files->remove([$this->data.'/octavum.sqlite-wal', $this->data.'/octavum.sqlite-shm']);
        $files->copy($this->data.'/whole.sqlite', $this->data.'/octavum.sqlite', true);
    }

    private function one(string $query): string
    {
        $found = (new \PDO('sqlite:'.$this->data.'/octavum.sqlite'))->query($query);

        return (string) (false === $found ? '' : $found->fetchColumn());
    }
}
