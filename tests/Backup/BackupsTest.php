<?php

declare(strict_types=1);

namespace Octavum\Tests\Backup;

use Octavum\Backup\Archive;
use Octavum\Backup\Backups;
use Octavum\Backup\Damaged;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Filesystem\Filesystem;

final class BackupsTest extends TestCase
{
    private string $data;
    private MockClock $clock;
    private Filesystem $disk;

    protected function setUp(): void
    {
        $this->disk = new Filesystem();
        $this->clock = new MockClock('2026-12-01 20:30:00');
        $this->data = sys_get_temp_dir().'/octavum-backups-'.bin2hex(random_bytes(6));
        $this->disk->mkdir($this->data.'/files/a');
        $this->disk->dumpFile($this->data.'/secret', 'quiet');
        $this->disk->dumpFile($this->data.'/files/a/photo.webp', random_bytes(5_000));
        $database = $this->database($this->data);
        $database->exec('PRAGMA journal_mode = WAL');
        foreach (['account', 'person', 'cloth', 'cut', 'pattern', 'season', 'project', 'lay', 'notion', 'file'] as $table) {
            $database->exec('CREATE TABLE '.$table.' (id TEXT PRIMARY KEY)');
        }
        $this->write(3);
    }

    protected function tearDown(): void
    {
        $this->disk->remove($this->data);
    }

    public function testABackupHoldsWhatWasWrittenBeforeAndIsReadBack(): void
    {
        self::assertNull($this->backups()->last());
        // stays open, so that what is written lies beside the database only
        $open = $this->database($this->data);
        $this->write(2);
        [$path, $contents] = $this->backups()->make($this->data.'/backups');
        self::assertSame($this->data.'/backups/octavum-2026-12-01T203000.tar', $path);
        self::assertSame([5, 1], [$contents->rows['cloth'], $contents->files]);
        self::assertSame($path, $this->backups()->last()[1] ?? null);
        $this->write(4);
        self::assertSame(5, $this->backups()->look($path)->rows['cloth'], 'what came later is not in it');
        $open = null;
    }

    public function testRestoringKeepsWhatWasThere(): void
    {
        [$path] = $this->backups()->make($this->data.'/backups');
        $photo = (string) file_get_contents($this->data.'/files/a/photo.webp');
        $this->write(4);
        $this->disk->dumpFile($this->data.'/files/a/photo.webp', 'another');
        $this->disk->dumpFile($this->data.'/secret', 'new');
        $before = $this->backups()->restore($path);
        self::assertSame([3, 'quiet'], [$this->cloths($this->data), file_get_contents($this->data.'/secret')]);
        self::assertSame($photo, file_get_contents($this->data.'/files/a/photo.webp'));
        self::assertSame([7, 'new'], [$this->cloths($before), file_get_contents($before.'/secret')]);
    }

    #[DataProvider('damages')]
    public function testAnArchiveThatIsNotAsItWasMadeIsRefused(\Closure $damage): void
    {
        [$path] = $this->backups()->make($this->data.'/backups');
        $content = $damage((string) file_get_contents($path));
        self::assertIsString($content);
        $this->disk->dumpFile($path, $content);
        $this->write(4);
        try {
            $this->backups()->restore($path);
            self::fail('It is damaged.');
        } catch (Damaged) {
            self::assertSame(7, $this->cloths($this->data), 'nothing has been changed');
            self::assertSame([], glob($this->data.'/{.restoring,before}*', \GLOB_BRACE));
        }
    }

    /** @return iterable<string, array{\Closure(string): string}> */
    public static function damages(): iterable
    {
        $turned = static fn (int $at): \Closure => static function (string $content) use ($at): string {
            $at = $at < 0 ? \strlen($content) + $at : $at;
            $content[$at] = \chr(\ord($content[$at]) ^ 1);

            return $content;
        };
        foreach ([0, 300, 700, 6_000, 40_000, -600, -74, -70, -1] as $at) {
            yield 'a bit turned at '.$at => [$turned($at)];
        }
        foreach ([0, 1, 500, 20_000] as $length) {
            yield 'cut to '.$length => [static fn (string $content): string => substr($content, 0, $length)];
        }
        yield 'the last byte missing' => [static fn (string $content): string => substr($content, 0, -1)];
        yield 'a byte more' => [static fn (string $content): string => $content."\n"];
        yield 'another file' => [static fn (): string => str_repeat('octavum', 1_000)];
    }

    public function testSevenDaysFourWeeksAndTwelveMonthsAreKept(): void
    {
        $folder = $this->data.'/backups';
        for ($day = new \DateTimeImmutable('2025-06-01'); $day <= new \DateTimeImmutable('2026-12-01'); $day = $day->modify('+1 day')) {
            $this->disk->dumpFile($folder.'/octavum-'.$day->format('Y-m-d').'T030000.tar', '');
        }
        $this->disk->dumpFile($folder.'/octavum-2026-12-01T090000.tar', '');
        $this->disk->dumpFile($folder.'/mine.tar', '');
        $this->backups()->thin($folder);
        $paths = array_filter((array) glob($folder.'/octavum-*.tar'), is_string(...));
        $left = array_map(static fn (string $path): string => substr(basename($path), 8, 10), array_values($paths));
        self::assertSame([
            '2026-01-31', '2026-02-28', '2026-03-31', '2026-04-30', '2026-05-31', '2026-06-30', '2026-07-31', '2026-08-31', '2026-09-30',
            '2026-10-31', '2026-11-15', '2026-11-22', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29', '2026-11-30',
            '2026-12-01',
        ], $left, 'of one day the newest');
        self::assertFileExists($folder.'/octavum-2026-12-01T090000.tar');
        self::assertFileExists($folder.'/mine.tar');
    }

    private function write(int $cloths): void
    {
        $database = $this->database($this->data);
        for ($i = 0; $i < $cloths; ++$i) {
            $database->exec("INSERT INTO cloth VALUES ('".bin2hex(random_bytes(8))."')");
        }
    }

    private function cloths(string $folder): int
    {
        $count = $this->database($folder)->query('SELECT count(*) FROM cloth');

        return false === $count ? -1 : (int) $count->fetchColumn();
    }

    private function database(string $folder): \PDO
    {
        return new \PDO('sqlite:'.$folder.'/octavum.sqlite', options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
    }

    private function backups(): Backups
    {
        return new Backups($this->data, new Archive($this->disk), $this->disk, $this->clock);
    }
}
