<?php

declare(strict_types=1);

namespace Octavum\Files;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\ImageManager;
use Intervention\Image\Interfaces\ImageInterface;

/** Paints a picture anew, large and small, so that nothing but the picture is kept: no place, no camera, no day. */
final readonly class Painter
{
    private const LARGE = 1600;
    private const SMALL = 160;
    private const SAMPLE = 64;

    /** @return list<array{int, int, int}> colours of the middle, where the cloth is and not the table */
    public function paint(string $from, string $large, string $small): array
    {
        $image = (new ImageManager(new Driver(), autoOrientation: true, decodeAnimation: false))
            ->read($from)
            ->scaleDown(self::LARGE, self::LARGE);
        file_put_contents($large, (string) $image->toJpeg(82, strip: true));
        file_put_contents($small, (string) (clone $image)->cover(self::SMALL, self::SMALL)->toJpeg(80, strip: true));

        return $this->samples($image);
    }

    /** @return list<array{int, int, int}> */
    private function samples(ImageInterface $image): array
    {
        $middle = $image
            ->cover((int) max(1, 0.7 * $image->width()), (int) max(1, 0.7 * $image->height()))
            ->resize(self::SAMPLE, self::SAMPLE);
        $gd = $middle->core()->native();
        if (!$gd instanceof \GdImage) {
            throw new \LogicException('The picture is painted by GD.');
        }
        $samples = [];
        for ($i = 0; $i < self::SAMPLE ** 2; ++$i) {
            $colour = (int) imagecolorat($gd, $i % self::SAMPLE, intdiv($i, self::SAMPLE));
            $samples[] = [($colour >> 16) & 255, ($colour >> 8) & 255, $colour & 255];
        }

        return $samples;
    }
}
