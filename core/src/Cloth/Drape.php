<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** How a cloth falls, in five steps. */
enum Drape: string
{
    case Crisp = 'crisp';
    case Firm = 'firm';
    case Soft = 'soft';
    case Flowing = 'flowing';
    case Fluid = 'fluid';
}
