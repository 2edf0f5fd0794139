<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;

/** The lines of a haul, one thing a line: no more and no longer than are read at once; what is beyond is a fault and stays typed. */
final class HaulLines
{
    private const MOST = 300;
    private const LONGEST = 400;

    /**
     * @param string $thing what a line holds, such as "cloth"
     *
     * @return list<string> as far as they can be read
     */
    public static function of(Entry $entry, string $thing): array
    {
        $typed = Entry::lines($entry->raw('haul'));
        if (\count($typed) > self::MOST) {
            $entry->fault(
                'haul',
                new Sentence('{count} lines are more than the {most} that are read at once: save these first, and go on.', [
                    'count' => \count($typed),
                    'most' => self::MOST,
                ]),
            );
        }
        foreach ($typed as $i => $line) {
            if (mb_strlen($line) > self::LONGEST) {
                $entry->fault(
                    'haul',
                    new Sentence('Line {number} has {count} characters, and {most} can be read: one line for each {thing}.', [
                        'number' => $i + 1,
                        'count' => mb_strlen($line),
                        'most' => self::LONGEST,
                        'thing' => new Sentence($thing),
                    ]),
                );
            }
        }

        return array_map(static fn (string $line): string => mb_substr($line, 0, self::LONGEST), \array_slice($typed, 0, self::MOST));
    }
}
