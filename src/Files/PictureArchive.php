<?php

declare(strict_types=1);

namespace Octavum\Files;

use Octavum\Account\Account;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Symfony\Component\Filesystem\Filesystem;

/**
 * A workroom's document with the pictures and files that it names, as one tar file: workroom.json, files.json with the name, kind and
 * SHA-256 of each, and the bytes in files/ (docs/formats/octavum-workroom.md).
 */
final readonly class PictureArchive
{
    /** Bytes of all files together. */
    private const MOST_BYTES = 500_000_000;
    private const MOST_FILES = 5_000;

    public function __construct(private FileShelf $shelf, private Filesystem $disk)
    {
    }

    /**
     * @param string $document an octavum-workroom document
     *
     * @return string the path of the archive, which is nobody's but the caller's
     */
    public function write(Account $account, string $document): string
    {
        $path = sys_get_temp_dir().'/octavum-'.bin2hex(random_bytes(8)).'.tar';
        $tar = new \PharData($path);
        $tar->startBuffering();
        $tar->addFromString('workroom.json', $document);
        $listed = [];
        foreach ($this->shelf->these($account, $this->named($document)) as $file) {
            foreach ([false, true] as $small) {
                $from = $this->shelf->path($file, $small);
                if (is_file($from)) {
                    $tar->addFile($from, 'files/'.$file->id.($small ? '-small' : ''));
                }
            }
            if (is_file($this->shelf->path($file))) {
                $listed[] = [
                    'id' => $file->id,
                    'name' => $file->name,
                    'kind' => $file->kind->value,
                    'colours' => $file->colours,
                    'sha256' => hash_file('sha256', $this->shelf->path($file)),
                ];
            }
        }
        $tar->addFromString('files.json', json_encode($listed, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE));
        $tar->stopBuffering();

        return $path;
    }

    /** Whether a file begins as a tar file does. */
    public static function isOne(string $path): bool
    {
        return 'ustar' === substr((string) file_get_contents($path, length: 265), 257, 5);
    }

    /**
     * Takes the files of an archive onto the account's shelf, each under an id of its own.
     *
     * @return array{string, list<FileRecord>} the document, naming the files by their new ids; they are persisted, not flushed
     *
     * @throws Refused when it is no such archive or a file in it is not what it says; nothing is kept of it then
     */
    public function read(string $path, Account $account): array
    {
        $work = sys_get_temp_dir().'/octavum-'.bin2hex(random_bytes(8));
        $this->disk->mkdir($work, 0o700);
        $files = $renamed = [];
        try {
            // PharData knows a tar file by its ending
            $this->disk->copy($path, $work.'/in.tar');
            $tar = new \PharData($work.'/in.tar');
            $document = $this->content($tar, 'workroom.json', WorkroomReader::MOST_BYTES);
            $listed = json_decode($this->content($tar, 'files.json', 5_000_000), true);
            if (!\is_array($listed) || \count($listed) > self::MOST_FILES) {
                throw self::refused('its list of files cannot be read');
            }
            $bytes = 0;
            foreach ($listed as $one) {
                $id = \is_array($one) && \is_string($one['id'] ?? null) ? $one['id'] : '';
                if (!\is_array($one) || 1 !== preg_match('/^[0-9A-Z]{26}$/D', $id) || isset($renamed[$id])) {
                    throw self::refused('its list of files cannot be read');
                }
                $content = $this->content($tar, 'files/'.$id, self::MOST_BYTES - $bytes);
                $bytes += \strlen($content);
                $small = isset($tar['files/'.$id.'-small']) ? $this->content($tar, 'files/'.$id.'-small', 5_000_000) : null;
                $files[] = $file = $this->file($account, $one, $content, $small, $work);
                $renamed[$id] = $file->id;
                $this->shelf->put($file, $content, $small);
            }

            return [strtr($document, $renamed), $files];
        } catch (Refused|\PharException|\UnexpectedValueException|\BadMethodCallException $fault) {
            $this->discard($files);
            throw $fault instanceof Refused ? $fault : self::refused('it cannot be unpacked');
        } finally {
            $this->disk->remove($work);
        }
    }

    /** @param list<FileRecord> $files whose document was refused after all */
    public function discard(array $files): void
    {
        foreach ($files as $file) {
            $this->shelf->discard($file);
        }
    }

    /** @return list<string> ids of files, of those that could be some */
    private function named(string $document): array
    {
        preg_match_all('/"([0-9A-HJKMNP-TV-Z]{26})"/', $document, $ids);

        return array_values(array_unique($ids[1]));
    }

    private function content(\PharData $tar, string $name, int $most): string
    {
        $file = isset($tar[$name]) ? $tar[$name] : null;
        if (!$file instanceof \PharFileInfo || !$file->isFile() || $file->isLink()) {
            throw self::refused('there is no '.$name.' in it');
        }
        if ($file->getSize() > $most) {
            throw self::refused($name.' is too large');
        }

        return $file->getContent();
    }

    /** @param array<mixed> $said */
    private function file(Account $account, array $said, string $content, ?string $small, string $work): FileRecord
    {
        $name = mb_substr(\is_string($said['name'] ?? null) ? $said['name'] : 'file', 0, 100);
        $kind = FileKind::tryFrom(\is_string($said['kind'] ?? null) ? $said['kind'] : '');
        if (null === $kind || hash('sha256', $content) !== ($said['sha256'] ?? null) || !$this->isSound($kind, $content, $small, $work)) {
            throw self::refused('“'.$name.'” is not what it says');
        }
        $colours = array_filter(
            \is_array($said['colours'] ?? null) ? array_filter($said['colours'], is_string(...)) : [],
            static fn (string $colour): bool => 1 === preg_match('/^#[0-9a-f]{6}$/D', $colour),
        );

        return new FileRecord($account, $name, $kind, \strlen($content), array_values($colours));
    }

    private function isSound(FileKind $kind, string $content, ?string $small, string $work): bool
    {
        if (FileKind::Document === $kind) {
            return 'application/pdf' === (new \finfo(\FILEINFO_MIME_TYPE))->buffer($content);
        }
        foreach ([$content, ...null === $small ? [] : [$small]] as $picture) {
            $this->disk->dumpFile($work.'/picture', $picture);
            $measures = @getimagesize($work.'/picture');
            if (
                false === $measures
                || FileKind::Picture->mime() !== $measures['mime']
                || $measures[0] * $measures[1] > Intake::MOST_PIXELS
            ) {
                return false;
            }
        }

        return true;
    }

    private static function refused(string $why): Refused
    {
        return Refused::because('This is no archive that was exported from here: '.$why.'. Nothing has been changed.');
    }
}
