<?php

declare(strict_types=1);

namespace Octavum\Backup;

use Symfony\Component\Filesystem\Filesystem;

/**
 * A folder as one tar file that ends with the SHA-256 of all before it, so that a turned bit or a missing end is noticed. Programs that
 * unpack tar files look at nothing behind the end of the archive proper.
 */
final readonly class Archive
{
    private const SEAL = "\nSHA-256 ";
    private const SEALED = 9 + 64 + 1;

    public function __construct(private Filesystem $disk)
    {
    }

    /** @param string $path that does not exist yet, and ends in .tar */
    public function pack(string $folder, string $path): void
    {
        (new \PharData($path))->buildFromDirectory($folder);
        $this->disk->appendToFile($path, self::SEAL.hash_file('sha256', $path)."\n");
    }

    /** @throws Damaged when it is cut, altered, or none of these */
    public function unpack(string $path, string $folder): void
    {
        $copy = $folder.'.tar';
        $this->check($path);
        $size = (int) filesize($path) - self::SEALED;
        $from = fopen($path, 'r');
        $to = fopen($copy, 'w');
        if (false === $from || false === $to || $size !== stream_copy_to_stream($from, $to, $size)) {
            throw new Damaged('The archive cannot be read to its end.');
        }
        fclose($from);
        fclose($to);
        try {
            (new \PharData($copy))->extractTo($folder);
        } catch (\PharException|\UnexpectedValueException $fault) {
            throw new Damaged('The archive is none that can be unpacked: '.$fault->getMessage());
        } finally {
            $this->disk->remove($copy);
        }
    }

    private function check(string $path): void
    {
        $size = is_file($path) ? filesize($path) : 0;
        $file = $size > self::SEALED ? fopen($path, 'r') : false;
        if (false === $file) {
            throw new Damaged('There is no archive at this path.');
        }
        $hash = hash_init('sha256');
        hash_update_stream($hash, $file, $size - self::SEALED);
        if (stream_get_contents($file) !== self::SEAL.hash_final($hash)."\n") {
            throw new Damaged('The archive is cut or was altered: its checksum does not agree.');
        }
    }
}
