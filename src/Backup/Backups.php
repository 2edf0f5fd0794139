<?php

declare(strict_types=1);

namespace Octavum\Backup;

use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;

/**
 * Makes archives of all data while people write, and puts one in its place again. The database is copied by SQLite's VACUUM INTO,
 * which sees one moment of it with all that was acknowledged before (https://www.sqlite.org/lang_vacuum.html); copying its files is
 * no backup, since the newest changes lie beside them. An archive is called good once it was unpacked again and looked through.
 */
final readonly class Backups
{
    private const DATABASE = 'octavum.sqlite';
    private const NAME = '/^octavum-(\d{4})-(\d\d)-(\d\d)T\d{6}\.tar$/';

    /** Tables whose rows are counted. */
    private const COUNTED = ['account', 'person', 'cloth', 'cut', 'pattern', 'season', 'project', 'lay', 'notion', 'file'];

    /** How many are kept: of days, of weeks, of months. */
    private const DAYS = 7;
    private const WEEKS = 4;
    private const MONTHS = 12;

    public function __construct(
        #[Autowire('%env(resolve:OCTAVUM_DATA)%')] private string $data,
        private Archive $archive,
        private Filesystem $disk,
        private ClockInterface $clock,
    ) {
    }

    public function folder(): string
    {
        return $this->data.'/backups';
    }

    /**
     * @return array{string, Contents} its path, and what is in it
     *
     * @throws Damaged when what was written does not hold what it should; no archive is left then
     */
    public function make(string $folder): array
    {
        $now = $this->clock->now();
        $path = $folder.'/octavum-'.$now->format('Y-m-d\THis').'.tar';
        $work = $folder.'/.making-'.bin2hex(random_bytes(6));
        $this->disk->mkdir($work.'/all', 0o700);
        try {
            $this->database($this->data.'/'.self::DATABASE)->prepare('VACUUM INTO ?')->execute([$work.'/all/'.self::DATABASE]);
            foreach (['secret', 'files'] as $part) {
                $this->copy($this->data.'/'.$part, $work.'/all/'.$part);
            }
            $contents = $this->describe($work.'/all', $now);
            $this->archive->pack($work.'/all', $work.'/done.tar');
            $this->look($work.'/done.tar');
            $this->disk->rename($work.'/done.tar', $path);
        } finally {
            $this->disk->remove($work);
        }
        $good = ['at' => $now->format('c'), 'path' => $path, 'bytes' => filesize($path)];
        $this->disk->dumpFile($this->data.'/backup.json', (string) json_encode($good));

        return [$path, $contents];
    }

    /** @return ?array{\DateTimeImmutable, string} when the last good one was made, and where it lay */
    public function last(): ?array
    {
        $good = is_file($this->data.'/backup.json') ? json_decode((string) file_get_contents($this->data.'/backup.json'), true) : null;

        return \is_array($good) && \is_string($good['at'] ?? null) && \is_string($good['path'] ?? null)
            ? [new \DateTimeImmutable($good['at']), $good['path']]
            : null;
    }

    /**
     * Unpacks an archive beside it, and looks whether it is whole.
     *
     * @throws Damaged when it is not
     */
    public function look(string $path): Contents
    {
        $folder = sys_get_temp_dir().'/octavum-look-'.bin2hex(random_bytes(6));
        $this->disk->mkdir($folder, 0o700);
        try {
            return $this->unpack($path, $folder);
        } finally {
            $this->disk->remove($folder);
        }
    }

    /**
     * Puts an archive in the place of all data; what was there goes into a folder of its own.
     *
     * @return string that folder
     *
     * @throws Damaged when the archive is not whole; nothing has been changed
     */
    public function restore(string $path): string
    {
        $new = $this->data.'/.restoring-'.bin2hex(random_bytes(6));
        $this->disk->mkdir($new, 0o700);
        try {
            $this->unpack($path, $new);
            $before = $this->data.'/before-restore-'.$this->clock->now()->format('Y-m-d\THis');
            $this->disk->mkdir($before, 0o700);
            if (is_file($this->data.'/'.self::DATABASE)) {
                // whoever writes has written, and nobody begins
                $this->database($this->data.'/'.self::DATABASE)->exec('BEGIN EXCLUSIVE');
            }
            foreach ([self::DATABASE, self::DATABASE.'-wal', self::DATABASE.'-shm', 'secret', 'files'] as $part) {
                if ($this->disk->exists($this->data.'/'.$part)) {
                    $this->disk->rename($this->data.'/'.$part, $before.'/'.$part);
                }
                if ($this->disk->exists($new.'/'.$part)) {
                    $this->disk->rename($new.'/'.$part, $this->data.'/'.$part);
                }
            }
            // an older database is brought up to date at the next start
            $this->disk->remove($this->data.'/migrated');
        } finally {
            $this->disk->remove($new);
        }

        return $before;
    }

    /** Removes from a folder the archives that are neither of the last days, nor the newest of the last weeks or months. */
    public function thin(string $folder): void
    {
        $kept = $seen = [];
        $files = iterator_to_array((new Finder())->files()->in($folder)->depth(0)->name(self::NAME)->sortByName()->reverseSorting());
        foreach ($files as $file) {
            $day = new \DateTimeImmutable(substr($file->getFilename(), 8, 10));
            foreach (['Y-m-d' => self::DAYS, 'o-W' => self::WEEKS, 'Y-m' => self::MONTHS] as $span => $most) {
                $at = $day->format($span);
                if (!isset($seen[$span][$at]) && \count($seen[$span] ?? []) < $most) {
                    $seen[$span][$at] = true;
                    $kept[$file->getPathname()] = true;
                }
            }
        }
        foreach ($files as $file) {
            if (!isset($kept[$file->getPathname()])) {
                $this->disk->remove($file->getPathname());
            }
        }
    }

    /** Writes what a folder holds into it. */
    private function describe(string $folder, \DateTimeImmutable $now): Contents
    {
        $files = [];
        foreach ((new Finder())->files()->in($folder)->ignoreDotFiles(false) as $file) {
            $files[$file->getRelativePathname()] = hash_file('sha256', $file->getPathname());
        }
        ksort($files);
        $contents = new Contents($now, $this->rows($folder), \count($files) - 2, array_sum(array_map(
            static fn (string $name): int => (int) filesize($folder.'/'.$name),
            array_keys($files),
        )));
        $this->disk->dumpFile($folder.'/contents.json', json_encode([
            'format' => 'octavum-backup',
            'version' => 1,
            'at' => $now->format('c'),
            'rows' => $contents->rows,
            'bytes' => $contents->bytes,
            'files' => $files,
        ], \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES));

        return $contents;
    }

    private function unpack(string $path, string $folder): Contents
    {
        $this->archive->unpack($path, $folder);
        $said = is_file($folder.'/contents.json') ? json_decode((string) file_get_contents($folder.'/contents.json'), true) : null;
        if (!\is_array($said) || 'octavum-backup' !== ($said['format'] ?? null) || 1 !== ($said['version'] ?? null)) {
            throw new Damaged('This is no archive that bin/octavum backup has made.');
        }
        $said += ['at' => '', 'files' => [], 'rows' => [], 'bytes' => 0];
        ['at' => $at, 'files' => $files, 'rows' => $rows, 'bytes' => $bytes] = $said;
        foreach (\is_array($files) ? $files : [] as $name => $hash) {
            if (!is_file($folder.'/'.$name) || hash_file('sha256', $folder.'/'.$name) !== $hash) {
                throw new Damaged($name.' is not as it was when the archive was made.');
            }
        }
        $this->disk->remove($folder.'/contents.json');
        $check = $this->database($folder.'/'.self::DATABASE)->query('PRAGMA integrity_check');
        $there = false === $check || 'ok' !== $check->fetchColumn() ? [] : $this->rows($folder);
        if ([] === $there || $there !== $rows) {
            throw new Damaged('The database in the archive is not whole.');
        }

        return new Contents(
            new \DateTimeImmutable(\is_string($at) ? $at : ''),
            $there,
            \is_array($files) ? \count($files) - 2 : 0,
            \is_int($bytes) ? $bytes : 0,
        );
    }

    /** @return array<string, int> */
    private function rows(string $folder): array
    {
        $database = $this->database($folder.'/'.self::DATABASE);
        $rows = [];
        foreach (self::COUNTED as $table) {
            $count = $database->query('SELECT count(*) FROM '.$table);
            $rows[$table] = false === $count ? 0 : (int) $count->fetchColumn();
        }

        return $rows;
    }

    private function copy(string $from, string $to): void
    {
        if (is_dir($from)) {
            $this->disk->mkdir($to, 0o700);
            foreach ((new Finder())->files()->in($from)->ignoreDotFiles(false) as $file) {
                // what is swept meanwhile is in nobody's workroom any more
                @mkdir($to.'/'.$file->getRelativePath(), 0o700, true);
                @copy($file->getPathname(), $to.'/'.$file->getRelativePathname());
            }
        } elseif (is_file($from)) {
            $this->disk->copy($from, $to);
        }
    }

    private function database(string $path): \PDO
    {
        if (!is_file($path)) {
            throw new Damaged('There is no database at '.$path.'.');
        }

        return new \PDO('sqlite:'.$path, options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION, \PDO::ATTR_TIMEOUT => 30]);
    }
}
