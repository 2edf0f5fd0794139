<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

enum Fibre: string
{
    case Cotton = 'cotton';
    case Linen = 'linen';
    case Hemp = 'hemp';
    case Viscose = 'viscose';
    case Lyocell = 'lyocell';
    case Modal = 'modal';
    case Wool = 'wool';
    case Silk = 'silk';
    case Polyester = 'polyester';
    case Nylon = 'nylon';
    case Acrylic = 'acrylic';
    case Elastane = 'elastane';
    case Other = 'other';
}
