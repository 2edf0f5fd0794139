<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

/** How a reason speaks. */
enum Tenor
{
    /** Hard: the pair is refused, unless the sewist overrules it. */
    case Refusal;
    /** Something is not known that would count. */
    case Question;
    /** Soft, against. */
    case Doubt;
    /** Soft, in favour. */
    case Praise;
    /** Worth knowing, counts nothing. */
    case Fact;
}
