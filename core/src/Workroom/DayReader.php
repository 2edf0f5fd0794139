<?php

declare(strict_types=1);

namespace Octavum\Core\Workroom;

use Octavum\Core\Measure\Unreadable;

/**
 * Reads a day as people write it: 3 Mar, March 3 2027, 3.3.27, 2027-03-03, Sat, tomorrow, in 2 weeks. Figures alone are read in the
 * order of the settings; where those put the year first, 3/4 is asked, not guessed. A day without a year is the next one to come, or
 * the last one past.
 */
final readonly class DayReader
{
    private const MONTHS = [
        'january',
        'february',
        'march',
        'april',
        'may',
        'june',
        'july',
        'august',
        'september',
        'october',
        'november',
        'december',
    ];
    private const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

    private \DateTimeImmutable $today;

    public function __construct(private DateStyle $style, \DateTimeImmutable $today)
    {
        $this->today = $today->setTime(0, 0);
    }

    /**
     * @param bool $past a day that lies behind: without a year it is the last such day, else the next one
     *
     * @throws Unreadable
     */
    public function read(string $text, bool $past = false): \DateTimeImmutable
    {
        $plain = mb_strtolower(trim((string) preg_replace('/[\s,]+/u', ' ', $text)));
        $plain = (string) preg_replace('/(\d)(st|nd|rd|th)\b/', '$1', $plain);
        if (1 === preg_match('/^(\d{4})-(\d\d?)-(\d\d?)$/', $plain, $m)) {
            return $this->day($text, (int) $m[1], (int) $m[2], (int) $m[3]);
        }
        if (1 === preg_match('#^(\d\d?)([./-])(\d\d?)(?:\2(\d{4}|\d\d)?)?$#', $plain, $m)) {
            [$day, $month] = $this->ordered($text, (int) $m[1], (int) $m[3]);

            return $this->dated($text, $day, $month, $m[4] ?? '', $past);
        }
        if (1 === preg_match('/^(\d\d?)\.? ?([a-z]+)\.?(?: (\d{4}|\d\d))?$/', $plain, $m) && null !== $this->month($m[2])) {
            return $this->dated($text, (int) $m[1], $this->month($m[2]), $m[3] ?? '', $past);
        }
        if (1 === preg_match('/^([a-z]+)\.? (\d\d?)(?: (\d{4}|\d\d))?$/', $plain, $m) && null !== $this->month($m[1])) {
            return $this->dated($text, (int) $m[2], $this->month($m[1]), $m[3] ?? '', $past);
        }

        return $this->told($plain, $past) ?? throw $this->unreadable($text);
    }

    /** Words instead of a date. */
    private function told(string $plain, bool $past): ?\DateTimeImmutable
    {
        if (\in_array($plain, ['today', 'tomorrow', 'yesterday'], true)) {
            return $this->today->modify($plain);
        }
        $weekday = $this->begun($plain, self::WEEKDAYS);
        if (null !== $weekday) {
            return $this->today->modify(($past ? 'last ' : 'next ').self::WEEKDAYS[$weekday]);
        }
        if (1 === preg_match('/^(in )?(\d{1,3}) (day|week|month)s?( ago)?$/', $plain, $m) && ('' !== $m[1] xor isset($m[4]))) {
            return $this->today->modify((isset($m[4]) ? '-' : '+').$m[2].' '.$m[3]);
        }

        return null;
    }

    /** @return array{int, int} day and month of two figures */
    private function ordered(string $text, int $first, int $second): array
    {
        return match (true) {
            $first > 12 => [$first, $second],
            $second > 12 => [$second, $first],
            DateStyle::DayFirst === $this->style, $first === $second => [$first, $second],
            DateStyle::MonthFirst === $this->style => [$second, $first],
            default => throw Unreadable::because('“{text}” may be two days: write the month by its name, such as {example}.', [
                'text' => mb_substr($text, 0, 40),
                'example' => $first.' '.ucfirst(substr(self::MONTHS[max(1, $second) - 1], 0, 3)),
            ]),
        };
    }

    /** @param list<string> $names of which one is begun, with three letters at least */
    private function begun(string $word, array $names): ?int
    {
        $found = array_keys(array_filter($names, static fn (string $name): bool => \strlen($word) > 2 && str_starts_with($name, $word)));

        return $found[0] ?? null;
    }

    private function month(string $word): ?int
    {
        $month = $this->begun($word, self::MONTHS);

        return null === $month ? null : $month + 1;
    }

    private function dated(string $text, int $day, int $month, string $year, bool $past): \DateTimeImmutable
    {
        if ('' !== $year) {
            return $this->day($text, (int) $year + (2 === \strlen($year) ? 2000 : 0), $month, $day);
        }
        // a leap day may be eight years away
        foreach (range(0, 8) as $away) {
            $in = (int) $this->today->format('Y') + ($past ? -$away : $away);
            $found = checkdate($month, $day, $in) ? $this->today->setDate($in, $month, $day) : null;
            if (null !== $found && ($past ? $found <= $this->today : $found >= $this->today)) {
                return $found;
            }
        }

        throw $this->unreadable($text);
    }

    private function day(string $text, int $year, int $month, int $day): \DateTimeImmutable
    {
        return $year >= 1000 && $year < 3000 && checkdate($month, $day, $year)
            ? $this->today->setDate($year, $month, $day)
            : throw $this->unreadable($text);
    }

    private function unreadable(string $text): Unreadable
    {
        return Unreadable::because('“{text}” is not a day: type it as {example} or 2027-03-01.', [
            'text' => mb_substr($text, 0, 40),
            'example' => DateStyle::MonthFirst === $this->style ? 'Mar 1, 2027' : '1 Mar 2027',
        ]);
    }
}
