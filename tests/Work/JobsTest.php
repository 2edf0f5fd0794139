<?php

declare(strict_types=1);

namespace Octavum\Tests\Work;

use Octavum\Account\Account;
use Octavum\Tests\NoLauncher;
use Octavum\Work\Jobs;
use Octavum\Work\LimitedCommand;
use Octavum\Work\Slots;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Lock\LockFactory;
use Symfony\Component\Lock\Store\InMemoryStore;

final class JobsTest extends TestCase
{
    private string $folder;
    private Jobs $jobs;
    private Account $account;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/octavum-jobs-'.bin2hex(random_bytes(4));
        $locks = new LockFactory(new InMemoryStore());
        $launcher = new NoLauncher(new LimitedCommand($this->folder));
        $this->jobs = new Jobs($this->folder, $this->folder, new Filesystem(), $locks, new Slots($locks, 2), $launcher);
        $this->account = new Account('maud@example.org', 'Maud');
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    /** Twenty seconds after anybody has asked after it, however much it has said itself. */
    public function testWorkThatIsLeftAloneIsToEnd(): void
    {
        $id = $this->begun();
        $this->jobs->run($this->account, $id, function (string $asked, \Closure $say, \Closure $goOn) use ($id): void {
            self::assertSame('{}', $asked);
            self::assertTrue($goOn(), 'it was begun a moment ago');
            touch($this->folder.'/'.$id.'-'.$this->account->id.'.seen', time() - 21);
            $say('still at it');
            self::assertFalse($goOn());
            $this->jobs->said($this->account, $id, 0);
            self::assertTrue($goOn(), 'somebody asks after it');
        });
        self::assertSame(['lines' => ['still at it'], 'ended' => true], $this->jobs->said($this->account, $id, 0));
    }

    public function testStoppedItIsToEndAndAnotherHearsNothingOfIt(): void
    {
        $id = $this->begun();
        $other = new Account('odalys@example.org', 'Odalys');
        self::assertNull($this->jobs->said($other, $id, 0));
        $this->jobs->stop($other, $id);
        $this->jobs->run($this->account, $id, function (string $asked, \Closure $say, \Closure $goOn) use ($id): void {
            self::assertTrue($goOn(), 'another’s stop is none');
            $this->jobs->stop($this->account, $id);
            self::assertFalse($goOn());
        });
    }

    public function testThreeAreEnough(): void
    {
        for ($i = 0; $i < 3; ++$i) {
            $this->begun();
        }
        self::assertNull($this->jobs->begin($this->account, 'octavum:lay-job', '{}'));
    }

    private function begun(): string
    {
        return $this->jobs->begin($this->account, 'octavum:lay-job', '{}') ?? self::fail('It has none at work.');
    }
}
