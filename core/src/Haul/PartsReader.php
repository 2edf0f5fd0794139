<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;

/** What a sheet, a coat or a shirt was taken apart into, a line for each piece: "2 sleeves 55 × 40 cm", length first. */
final readonly class PartsReader
{
    private const FIGURE = '[-−]?(?:\d(?:[\d./ ½¼¾⅛⅜⅝⅞-]|,(?=\d))*|[½¼¾⅛⅜⅝⅞])\s*(?:mm|cm|m|yds?|in|inch|inches|"|″)?';
    private const MOST = 50;

    /**
     * @param list<string> $lines
     * @param Unit         $usual of figures without a unit
     *
     * @return list<ApartPiece>
     *
     * @throws Unreadable that names the line
     */
    public function read(array $lines, Unit $usual): array
    {
        $parts = array_map(fn (string $line): ApartPiece => $this->part($line, $usual), $lines);
        $count = array_sum(array_map(static fn (ApartPiece $part): int => $part->count, $parts));

        return $count <= self::MOST
            ? $parts
            : throw Unreadable::because(
                '{count} pieces are more than the {most} that are noted at once.',
                ['count' => $count, 'most' => self::MOST],
            );
    }

    private function part(string $line, Unit $usual): ApartPiece
    {
        $pattern =
            '~^(?:(?<count>\d{1,2})\s+(?=\D))?(?<name>.*?)[\s:,]*(?<length>'
            .self::FIGURE
            .')\s*(?:x|×|\*|by)\s*(?<width>'
            .self::FIGURE
            .')\s*$~iu';
        if (1 !== preg_match($pattern, trim($line), $found)) {
            throw Unreadable::because(
                '“{line}” cannot be read: type a name, then length × width, such as “2 sleeves 55 × 40 cm”.',
                ['line' => mb_substr($line, 0, 60)],
            );
        }
        // a unit that is written once stands for both
        $unit = 1 === preg_match('~[a-z"″]+$~iu', trim($found['width']), $said) ? $said[0] : '';
        $length = 1 === preg_match('~[a-z"″]$~iu', trim($found['length'])) ? $found['length'] : $found['length'].$unit;
        $count = '' === $found['count'] ? 1 : (int) $found['count'];
        if (0 === $count) {
            throw Unreadable::because('“{line}”: how many pieces are none?', ['line' => mb_substr($line, 0, 60)]);
        }
        $width = Cut::ownWidth(Length::parse($found['width'], $usual));

        return new ApartPiece(mb_substr(trim($found['name']), 0, 50), $count, Cut::ownLength(Length::parse($length, $usual)), $width);
    }
}
