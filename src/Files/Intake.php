<?php

declare(strict_types=1);

namespace Octavum\Files;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\Exceptions\RuntimeException as ImageException;
use Intervention\Image\ImageManager;
use Intervention\Image\Interfaces\ImageInterface;
use Octavum\Account\Account;
use Octavum\Core\Colour\MainColours;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/**
 * Takes in what is uploaded. What a file is, its content says, never its name; its measures are looked at before it is
 * unpacked; and every picture is painted anew, smaller, so that nothing but the picture is kept: no place, no camera, no day.
 */
final readonly class Intake
{
    private const MOST_BYTES = 25_000_000;
    private const MOST_PIXELS = 60_000_000;
    private const PICTURES = ['image/jpeg', 'image/png', 'image/webp'];
    private const LARGE = 1600;
    private const SMALL = 160;
    private const SAMPLE = 64;

    public function __construct(private FileShelf $shelf)
    {
    }

    /** @throws Unreadable */
    public function photo(mixed $upload, Account $account): FileRecord
    {
        $upload = $this->arrived($upload);
        if (!\in_array($this->is($upload), self::PICTURES, true)) {
            throw new Unreadable(new Sentence('“{name}” is not a photo that can be read here ({is}): take a JPEG, PNG or WebP picture. Nothing has been changed.', ['name' => $this->name($upload), 'is' => $this->is($upload)]));
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
            throw new Unreadable(new Sentence('“{name}” can not be kept here ({is}): attach a PDF, or a JPEG, PNG or WebP picture. Nothing has been changed.', ['name' => $this->name($upload), 'is' => $this->is($upload)]));
        }
        $file = new FileRecord($account, $this->name($upload), FileKind::Document, (int) $upload->getSize());
        $this->shelf->put($file, $upload->getContent());

        return $file;
    }

    /** @throws Unreadable when nothing did, or not the whole */
    private function arrived(mixed $upload): UploadedFile
    {
        if (!$upload instanceof UploadedFile || \UPLOAD_ERR_NO_FILE === $upload->getError()) {
            throw new Unreadable(new Sentence('Choose a file first.'));
        }
        if (!$upload->isValid() || $upload->getSize() > self::MOST_BYTES) {
            throw new Unreadable(new Sentence('“{name}” is larger than 25 MB, or did not arrive whole. Nothing has been changed: make it smaller and try again.', ['name' => $this->name($upload)]));
        }

        return $upload;
    }

    private function picture(UploadedFile $upload, Account $account): FileRecord
    {
        $measures = @getimagesize($upload->getPathname());
        [$width, $height] = false === $measures ? [0, 0] : $measures;
        if ($width * $height > self::MOST_PIXELS) {
            throw new Unreadable(new Sentence('“{name}” is {width} by {height} points large, more than can be unpacked here ({most} million). Nothing has been changed: make it smaller and try again.', ['name' => $this->name($upload), 'width' => $width, 'height' => $height, 'most' => intdiv(self::MOST_PIXELS, 1_000_000)]));
        }
        try {
            $image = (new ImageManager(new Driver(), autoOrientation: true, decodeAnimation: false))->read($upload->getPathname())->scaleDown(self::LARGE, self::LARGE);
            $large = (string) $image->toJpeg(82, strip: true);
            $small = (string) (clone $image)->cover(self::SMALL, self::SMALL)->toJpeg(80, strip: true);
        } catch (ImageException) {
            throw new Unreadable(new Sentence('“{name}” cannot be read as a picture: it may have been cut off on its way. Nothing has been changed.', ['name' => $this->name($upload)]));
        }
        $file = new FileRecord($account, $this->name($upload), FileKind::Picture, \strlen($large), (new MainColours())->of($this->samples($image)));
        $this->shelf->put($file, $large, $small);

        return $file;
    }

    /** @return list<array{int, int, int}> of the middle, where the cloth is and not the table */
    private function samples(ImageInterface $image): array
    {
        $middle = $image->cover((int) max(1, 0.7 * $image->width()), (int) max(1, 0.7 * $image->height()))->resize(self::SAMPLE, self::SAMPLE);
        $gd = $middle->core()->native();
        if (!$gd instanceof \GdImage) {
            throw new \LogicException('The picture is painted by GD.');
        }
        $samples = [];
        for ($i = 0; $i < self::SAMPLE ** 2; ++$i) {
            $colour = (int) imagecolorat($gd, $i % self::SAMPLE, intdiv($i, self::SAMPLE));
            $samples[] = [$colour >> 16 & 255, $colour >> 8 & 255, $colour & 255];
        }

        return $samples;
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
