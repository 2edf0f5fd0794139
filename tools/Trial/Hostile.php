<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Small files that would take minutes or gigabytes if they were opened as they ask. */
final readonly class Hostile
{
    private const PACKED = 4_000_000_000;

    /** @return iterable<string, string> */
    public function pictures(): iterable
    {
        yield 'holds gigabytes' => $this->png(10, 10, self::PACKED);
        yield 'says it is enormous' => $this->png(100_000, 100_000, 1000);
        yield 'says it is nothing' => $this->png(0, 0, 1000);
        yield 'is cut off' => substr($this->png(3000, 3000, 27_003_000), 0, 2000);
        yield 'is a script' => "<?php echo 'hello';";
        yield 'is a JPEG by its first bytes alone' => "\xff\xd8\xff\xe0\0\x10JFIF".random_bytes(5000);
        yield 'is a page' => '<html><script>alert(1)</script>';
    }

    /** @return iterable<string, string> */
    public function drawings(): iterable
    {
        $svg = static fn (string $inside, string $box = ''): string => '<svg xmlns="http://www.w3.org/2000/svg"'
            .$box
            .'>'
            .$inside
            .'</svg>';
        yield 'a view box of next to nothing' => $svg('<circle r="1"/>', ' viewBox="0 0 1e-300 1e-300"');
        $uses = implode(
            '',
            array_map(
                static fn (int $i): string => '<g id="a'.$i.'">'.str_repeat('<use href="#a'.($i + 1).'"/>', 14).'</g>',
                range(0, 8),
            ),
        );
        yield 'uses within uses' => $svg('<defs>'.$uses.'<circle id="a9" r="50"/></defs><use href="#a0"/>');
        yield 'endless curves' => $svg('<path d="M0 0'.str_repeat('C1e9 0 0 1e9 1e9 1e9 ', 400).'Z"/>');
        yield 'circles within circles' => $svg(
            implode('', array_map(static fn (int $i): string => '<circle cx="'.$i.'" r="'.(1000 + ($i % 97)).'"/>', range(1, 5000))),
            ' width="1m" viewBox="0 0 1000 1000"',
        );
        yield 'chained transforms' => $svg(
            '<g transform="'.str_repeat('translate(1,1) ', 300_000).'"><rect width="50" height="50"/></g>',
        );
        yield 'named groups' => $svg(
            implode(
                '',
                array_map(
                    static fn (int $i): string => '<g><title>t</title><rect x="'.$i.'" width="50" height="50"/></g>',
                    range(1, 6000),
                ),
            ),
        );
        yield 'an entity' => '<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">]><svg xmlns="http://www.w3.org/2000/svg">&a;</svg>';
    }

    private function png(int $width, int $height, int $bytes): string
    {
        $chunk = static fn (string $type, string $data): string => pack('N', \strlen($data))
            .$type
            .$data
            .pack('N', crc32($type.$data));
        $deflate = deflate_init(\ZLIB_ENCODING_DEFLATE, ['level' => 9]);
        if (false === $deflate) {
            throw new \LogicException('zlib is there.');
        }
        $packed = '';
        $zeros = str_repeat("\0", 4_000_000);
        for ($left = min($bytes, 400_000_000); $left > 0; $left -= 4_000_000) {
            $packed .= deflate_add(
                $deflate,
                $left < 4_000_000 ? substr($zeros, 0, $left) : $zeros,
                $left > 4_000_000 ? \ZLIB_NO_FLUSH : \ZLIB_FINISH,
            );
        }

        return "\x89PNG\r\n\x1a\n"
            .$chunk('IHDR', pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0))
            .$chunk('IDAT', $packed)
            .$chunk('IEND', '');
    }
}
