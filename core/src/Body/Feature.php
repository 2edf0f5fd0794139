<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

/** What a garment has, and people like or do not. */
enum Feature: string
{
    case Sleeveless = 'sleeveless';
    case ShortSleeves = 'short sleeves';
    case LongSleeves = 'long sleeves';
    case LowNeck = 'low neck';
    case HighNeck = 'high neck';
    case Collar = 'collar';
    case Hood = 'hood';
    case Buttons = 'buttons';
    case Zip = 'zip';
    case PullOn = 'pulled on';
    case ElasticWaist = 'elastic waist';
    case WaistSeam = 'waist seam';
    case Pockets = 'pockets';
    case Fitted = 'fitted';
    case Loose = 'loose';
    case AboveTheKnee = 'above the knee';
    case BelowTheKnee = 'below the knee';
    case Full = 'full skirt';
}
