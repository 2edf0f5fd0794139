<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;

/** The step by which a shop's counter sells cloth. */
enum Counter: string
{
    case EighthYard = '⅛ yd';
    case QuarterYard = '¼ yd';
    case TenCentimetres = '10 cm';
    case TwentyFiveCentimetres = '25 cm';
    case FiftyCentimetres = '50 cm';

    public function step(): Length
    {
        return match ($this) {
            self::EighthYard => Length::ofMicrometres(Unit::EighthYard->value),
            self::QuarterYard => Length::ofMicrometres(2 * Unit::EighthYard->value),
            self::TenCentimetres => Length::of('10', Unit::Centimetre),
            self::TwentyFiveCentimetres => Length::of('25', Unit::Centimetre),
            self::FiftyCentimetres => Length::of('50', Unit::Centimetre),
        };
    }
}
