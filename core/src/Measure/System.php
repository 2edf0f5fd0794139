<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** The units a sewist reads and writes. */
enum System: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';

    /** The unit meant by a bare number where the length of cloth is asked. */
    public function lengthUnit(): Unit
    {
        return self::Metric === $this ? Unit::Metre : Unit::Yard;
    }

    /** The unit meant by a bare number where a width or another small measure is asked. */
    public function widthUnit(): Unit
    {
        return self::Metric === $this ? Unit::Centimetre : Unit::Inch;
    }
}
