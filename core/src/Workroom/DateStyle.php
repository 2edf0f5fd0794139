<?php

declare(strict_types=1);

namespace Octavum\Core\Workroom;

/** How days are written. */
enum DateStyle: string
{
    case DayFirst = 'day first';
    case MonthFirst = 'month first';
    case YearFirst = 'year first';

    /** @param bool $short with the month's name in three letters */
    public function write(\DateTimeImmutable $day, bool $year = true, bool $short = true): string
    {
        $month = $short ? 'M' : 'F';

        return $day->format(
            match ($this) {
                self::DayFirst => 'j '.$month.($year ? ' Y' : ''),
                self::MonthFirst => $month.' j'.($year ? ', Y' : ''),
                self::YearFirst => $year ? 'Y-m-d' : 'm-d',
            },
        );
    }
}
