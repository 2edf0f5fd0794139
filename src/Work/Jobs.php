<?php

declare(strict_types=1);

namespace Octavum\Work;

use Octavum\Account\Account;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Lock\LockFactory;
use Symfony\Component\Lock\LockInterface;
use Symfony\Component\Uid\Ulid;

/**
 * Long work, done by processes of their own while pages go on: each is a folder's few files, what was asked (.json), the lines
 * it has said so far (.out), and marks when it was asked after (.seen), that it is to stop (.stop) and has ended (.done). Work that
 * nobody asks after any more stops by itself.
 */
final readonly class Jobs
{
    private const LEFT_ALONE = 20;
    private const KEPT = '1 hour ago';
    private const LOOK_EVERY = 200_000;

    /** Of one account, waiting or at work. */
    private const MOST = 3;

    public function __construct(
        #[Autowire('%env(resolve:OCTAVUM_DATA)%/work')] private string $folder,
        #[Autowire('%env(resolve:OCTAVUM_DATA)%/locks')] private string $lockFolder,
        private Filesystem $disk,
        private LockFactory $locks,
        private Slots $slots,
        private Launcher $launcher,
    ) {
    }

    /** @return ?string what to ask after it by; null when the account has enough at work */
    public function begin(Account $account, string $command, string $asked): ?string
    {
        $this->disk->mkdir($this->folder);
        $this->disk->remove(
            (new Finder())
                ->files()
                ->in($this->folder)
                ->date('before '.self::KEPT),
        );
        $this->disk->remove((new Finder())->files()->in($this->lockFolder)->name('/^sf\.(job|counting)-/')->date('before '.self::KEPT));
        // counted and begun in one step: two requests at once are two
        $counting = $this->locks->createLock('counting-'.$account->id, 5.0);
        $counting->acquire(true);
        try {
            $own = static fn (string $name): bool => str_ends_with($name, '-'.$account->id);
            if (\count(array_filter($this->waiting(), $own)) >= self::MOST) {
                return null;
            }
            $id = (string) new Ulid();
            $this->disk->dumpFile($this->path($account->id, $id, 'out'), '');
            $this->disk->dumpFile($this->path($account->id, $id, 'json'), $asked);
            touch($this->path($account->id, $id, 'seen'));
        } finally {
            $counting->release();
        }
        $this->launcher->launch($command, $account->email, $id);

        return $id;
    }

    /** @return ?array{lines: list<string>, ended: bool} what was said after so many lines, and whether more will be; null for none */
    public function said(Account $account, string $id, int $after): ?array
    {
        $out = $this->path($account->id, $id, 'out');
        if (!Ulid::isValid($id) || !is_file($out)) {
            return null;
        }
        touch($this->path($account->id, $id, 'seen'));
        $ended = !$this->isAtWork($id.'-'.$account->id);
        $lines = explode("\n", (string) file_get_contents($out));

        // what follows the last line feed is empty, or a line that is still being written
        return ['lines' => \array_slice($lines, max(0, $after), max(0, \count($lines) - 1 - max(0, $after))), 'ended' => $ended];
    }

    public function stop(Account $account, string $id): void
    {
        if (null !== $this->said($account, $id, 0)) {
            $this->disk->dumpFile($this->path($account->id, $id, 'stop'), '');
        }
    }

    /**
     * In the process of its own: waits for a slot and says its place in the line, works, and says that it has ended.
     *
     * @param \Closure(string $asked, \Closure(string): mixed $say, \Closure(): bool $goOn): void $work
     */
    public function run(Account $account, string $id, \Closure $work): void
    {
        $out = $this->path($account->id, $id, 'out');
        $say = static fn (string $line): int|false => file_put_contents($out, $line."\n", \FILE_APPEND);
        $seen = $this->path($account->id, $id, 'seen');
        $goOn = function () use ($account, $id, $seen): bool {
            clearstatcache();

            return !is_file($this->path($account->id, $id, 'stop')) && time() - (int) @filemtime($seen) < self::LEFT_ALONE;
        };
        $alive = $this->locks->createLock('job-'.$id.'-'.$account->id, null);
        $alive->acquire();
        try {
            $slot = $this->slot($id.'-'.$account->id, $say, $goOn);
            if (null !== $slot) {
                $work((string) file_get_contents($this->path($account->id, $id, 'json')), $say, $goOn);
            }
        } finally {
            $this->disk->dumpFile($this->path($account->id, $id, 'done'), '');
        }
    }

    /**
     * @param \Closure(string): mixed $say
     * @param \Closure(): bool        $goOn
     */
    private function slot(string $name, \Closure $say, \Closure $goOn): ?LockInterface
    {
        $said = 0;
        while ($goOn()) {
            $place = 1 + (int) array_search($name, $this->waiting(), true);
            $slot = $this->slots->take('work');
            if (null !== $slot) {
                return $slot;
            }
            if ($place !== $said) {
                $said = $place;
                $say(json_encode(['waits' => max(1, $place - 1)], \JSON_THROW_ON_ERROR));
            }
            usleep(self::LOOK_EVERY * max(1, min(5, $place)));
        }

        return null;
    }

    /** @return list<string> of work that has not ended and whose process is alive or about to be, the first first */
    private function waiting(): array
    {
        $names = [];
        foreach (is_dir($this->folder) ? (new Finder())->files()->in($this->folder)->name('*.json')->sortByName() : [] as $file) {
            $name = $file->getBasename('.json');
            if ($this->isAtWork($name)) {
                $names[] = $name;
            }
        }

        return $names;
    }

    /** It has not ended, and its process is alive or about to be: one that was killed could not say so. */
    private function isAtWork(string $name): bool
    {
        return !is_file($this->folder.'/'.$name.'.done')
            && ((int) @filemtime($this->folder.'/'.$name.'.json') > time() - self::LEFT_ALONE
                || !$this->locks->createLock('job-'.$name, null, false)->acquire());
    }

    private function path(string $account, string $id, string $ending): string
    {
        return $this->folder.'/'.$id.'-'.$account.'.'.$ending;
    }
}
