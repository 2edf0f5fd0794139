<?php

declare(strict_types=1);

namespace Octavum\Files;

use Octavum\Account\Account;
use Octavum\Core\Colour\MainColours;
use Octavum\Core\Measure\Unreadable;
use Octavum\Work\LimitedCommand;
use Octavum\Work\Slots;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Lock\LockInterface;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * Takes in what is uploaded. What a file is, its content says, never its name; its measures are looked at before it is
 * unpacked; and every picture is painted anew, smaller, by a process of its own.
 */
final readonly class Intake
{
    private const MOST_BYTES = 25_000_000;
    public const MOST_PIXELS = 60_000_000;
    private const PICTURES = ['image/jpeg', 'image/png', 'image/webp'];

    /** What painting one may take: seconds of the processor, memory; and how long to wait for others, in tenths of a second. */
    private const SECONDS = 10;
    private const MEGABYTES = 1_500;
    private const WAIT = 30;

    public function __construct(private FileShelf $shelf, private Slots $slots, private Filesystem $disk, private LimitedCommand $apart)
    {
    }

    /** @throws Unreadable */
    public function photo(mixed $upload, Account $account): FileRecord
    {
        $upload = $this->arrived($upload);
        if (!\in_array($this->is($upload), self::PICTURES, true)) {
            throw Unreadable::because(
                '“{name}” is not a photo that can be read here ({is}): take a JPEG, PNG or WebP picture. Nothing has been changed.',
                ['name' => $this->name($upload), 'is' => $this->is($upload)],
            );
        }

        return $this->picture($upload, $account);
    }

    /** @throws Unreadable */
    public function attachment(mixed $upload, Account $account): FileRecord
    {
        $upload = $this->arrived($upload);
        if (\in_array($this->is($upload), self::PICTURES, true)) {
            return $this->picture($upload, $account);
        }
        if ('application/pdf' !== $this->is($upload)) {
            throw Unreadable::because(
                '“{name}” can not be kept here ({is}): attach a PDF, or a JPEG, PNG or WebP picture. Nothing has been changed.',
                ['name' => $this->name($upload), 'is' => $this->is($upload)],
            );
        }
        $file = new FileRecord($account, $this->name($upload), FileKind::Document, (int) $upload->getSize());
        $this->shelf->put($file, $upload->getContent());

        return $file;
    }

    /** @throws Unreadable when nothing did, or not the whole */
    private function arrived(mixed $upload): UploadedFile
    {
        if (!($upload instanceof UploadedFile) || \UPLOAD_ERR_NO_FILE === $upload->getError()) {
            throw Unreadable::because('Choose a file first.');
        }
        if (!$upload->isValid() || $upload->getSize() > self::MOST_BYTES) {
            throw Unreadable::because(
                '“{name}” is larger than 25 MB, or did not arrive whole. Nothing has been changed: make it smaller and try again.',
                ['name' => $this->name($upload)],
            );
        }

        return $upload;
    }

    private function picture(UploadedFile $upload, Account $account): FileRecord
    {
        $measures = @getimagesize($upload->getPathname());
        [$width, $height] = false === $measures ? [0, 0] : $measures;
        if ($width * $height > self::MOST_PIXELS) {
            throw Unreadable::because(
                '“{name}” is {width} by {height} points large, more than can be unpacked here ({most} million). Nothing has been changed: make it smaller and try again.',
                ['name' => $this->name($upload), 'width' => $width, 'height' => $height, 'most' => intdiv(self::MOST_PIXELS, 1_000_000)],
            );
        }
        if (!Packed::isHonest($upload->getPathname())) {
            throw Unreadable::because(
                '“{name}” holds far more than a picture of {width} by {height} points, so it was not opened. Nothing has been changed.',
                ['name' => $this->name($upload), 'width' => $width, 'height' => $height],
            );
        }
        [$large, $small, $samples] = $this->painted($upload);
        $file = new FileRecord($account, $this->name($upload), FileKind::Picture, \strlen($large), (new MainColours())->find($samples));
        $this->shelf->put($file, $large, $small);

        return $file;
    }

    /**
     * Painted by a process of its own, within limits: a file that asks too much of it ends that process, and no other.
     *
     * @return array{string, string, list<array{int, int, int}>} large, small, and the colours of its middle
     */
    private function painted(UploadedFile $upload): array
    {
        $slot =
            $this->slot()
            ?? throw Unreadable::because(
                'Other pictures are being taken in just now: wait a moment and try “{name}” again. Nothing has been changed.',
                ['name' => $this->name($upload)],
            );
        $paths = [$this->disk->tempnam(sys_get_temp_dir(), 'octavum'), $this->disk->tempnam(sys_get_temp_dir(), 'octavum')];
        $command = $this->apart->command(self::SECONDS, self::MEGABYTES, ['memory_limit=512M', 'opcache.enable_cli=0'], 'bin/picture', [
            $upload->getPathname(),
            ...$paths,
        ]);
        $process = new Process($command, timeout: 2 * self::SECONDS);
        try {
            $process->run();
            $samples = $process->isSuccessful() ? json_decode($process->getOutput(), true) : null;
            if (!\is_array($samples)) {
                throw Unreadable::because(
                    '“{name}” cannot be read as a picture: it may have been cut off on its way. Nothing has been changed.',
                    ['name' => $this->name($upload)],
                );
            }
            /** @var list<array{int, int, int}> $samples */

            return [(string) file_get_contents($paths[0]), (string) file_get_contents($paths[1]), $samples];
        } catch (ProcessTimedOutException) {
            throw Unreadable::because(
                '“{name}” takes too long to be unpacked. Nothing has been changed: save it anew from a program that shows it, and try again.',
                ['name' => $this->name($upload)],
            );
        } finally {
            $this->disk->remove($paths);
            $slot->release();
        }
    }

    private function slot(): ?LockInterface
    {
        for ($i = 0; $i < self::WAIT; ++$i) {
            $slot = $this->slots->take('picture');
            if (null !== $slot) {
                return $slot;
            }
            usleep(100_000);
        }

        return null;
    }

    private function name(UploadedFile $upload): string
    {
        $name = trim(preg_replace('/[\x00-\x1f\x7f\/\\\\]+/u', ' ', mb_scrub($upload->getClientOriginalName())) ?? '');

        return '' === $name ? 'file' : mb_substr($name, -100);
    }

    /** Its media type, by its content. */
    private function is(UploadedFile $upload): string
    {
        return (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($upload->getPathname());
    }
}
