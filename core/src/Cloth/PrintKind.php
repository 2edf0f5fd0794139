<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What is to be seen on the right side. */
enum PrintKind: string
{
    case Plain = 'plain';
    case AllOver = 'all-over';
    case Stripe = 'stripe';
    case StripeAcross = 'stripe across';
    case Check = 'check';
    case Border = 'border';
    case Panel = 'panel';
    case Large = 'large motif';
}
