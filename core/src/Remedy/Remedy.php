<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

/** What a way out of a shortfall does. */
enum Remedy: string
{
    case TakeCut = 'take this cut';
    case LayOut = 'lay its pieces';
    case Wash = 'wash and measure';
    case TakeVersion = 'take this version';
}
