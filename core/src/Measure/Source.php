<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** Where a figure of a working comes from. */
enum Source: string
{
    case Measured = 'measured';
    case Label = 'label';
    case Stated = 'as you said';
    case Assumed = 'assumed';
    case Printed = 'printed table';
    case Chart = 'conversion chart';
    case Tested = 'your test';
    case Plan = 'your plan';
    case Lay = 'the lay';
}
