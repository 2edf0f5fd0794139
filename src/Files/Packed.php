<?php

declare(strict_types=1);

namespace Octavum\Files;

/**
 * How much a PNG file unpacks to, found out piece by piece without keeping any of it: a few kilobytes may hold gigabytes.
 *
 * @see https://www.w3.org/TR/png-3/ chunks, and the bytes of a row
 */
final readonly class Packed
{
    /** Read at a time; a thousand times as much may come of it. */
    private const STEP = 2_048;

    /** Samples a point has, by colour type. */
    private const SAMPLES = [0 => 1, 2 => 3, 3 => 1, 4 => 2, 6 => 4];

    /** Whether it holds no more than its width and height ask for. True for files that are no PNG. */
    public static function isHonest(string $path): bool
    {
        $file = fopen($path, 'r');
        if (false === $file || "\x89PNG\r\n\x1a\n" !== fread($file, 8)) {
            return true;
        }
        $left = 0;
        $inflate = inflate_init(\ZLIB_ENCODING_DEFLATE);
        while (\is_array($head = unpack('Nlength/a4kind', str_pad((string) fread($file, 8), 8, "\0"))) && "\0\0\0\0" !== $head['kind']) {
            $length = \is_int($head['length']) ? $head['length'] : 0;
            if ('IHDR' === $head['kind']) {
                $left = self::bytes((string) fread($file, 13));
                $length -= 13;
            } elseif ('IDAT' === $head['kind'] && false !== $inflate) {
                for (; $length > 0 && !feof($file); $length -= self::STEP) {
                    $unpacked = @inflate_add($inflate, (string) fread($file, max(1, min(self::STEP, $length))), \ZLIB_SYNC_FLUSH);
                    $left -= \strlen((string) $unpacked);
                    if (false === $unpacked || $left < 0) {
                        return false === $unpacked;
                    }
                }
                $length = 0;
            }
            fseek($file, max(0, $length) + 4, \SEEK_CUR);
        }

        return true;
    }

    /** The most that the rows of a picture take up, interlaced or not. */
    private static function bytes(string $header): int
    {
        $head = unpack('Nwidth/Nheight/Cdepth/Ccolour', str_pad($header, 13, "\0"));
        if (!\is_array($head)) {
            return 0;
        }
        ['width' => $width, 'height' => $height, 'depth' => $depth, 'colour' => $colour] = array_map(
            static fn (mixed $n): int => \is_int($n) ? $n : 0,
            $head,
        ) + ['width' => 0, 'height' => 0, 'depth' => 0, 'colour' => 0];
        $row = 1 + intdiv($width * $depth * (self::SAMPLES[$colour] ?? 4) + 7, 8);

        return $height * $row + 16 * ($width + $height) + 1_000;
    }
}
