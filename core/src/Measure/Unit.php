<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** A unit of length; its value is how many micrometres it holds, exact. */
enum Unit: int
{
    case Millimetre = 1_000;
    case Centimetre = 10_000;
    case Inch = 25_400;
    case EighthYard = 114_300;
    case Foot = 304_800;
    case Yard = 914_400;
    case Metre = 1_000_000;

    public const SYMBOLS = [
        'mm' => self::Millimetre,
        'cm' => self::Centimetre,
        'm' => self::Metre,
        'in' => self::Inch,
        'ft' => self::Foot,
        'yd' => self::Yard,
    ];
}
