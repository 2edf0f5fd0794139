<?php

declare(strict_types=1);

namespace Octavum\Core\Workroom;

use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\System;
use Octavum\Core\Shopping\Counter;

/** What a sewist has chosen for their workroom. */
final readonly class Settings
{
    /**
     * @param string $currency  ISO 4217
     * @param bool   $bothUnits whether figures are shown in the other units, too
     */
    public function __construct(
        public System $system = System::Metric,
        public Counter $counter = Counter::TenCentimetres,
        public string $currency = 'EUR',
        public Assumptions $assumptions = new Assumptions(),
        public Dialect $dialect = Dialect::British,
        public DateStyle $dates = DateStyle::DayFirst,
        public bool $bothUnits = false,
        public Sewist $sewist = new Sewist(),
    ) {
    }
}
