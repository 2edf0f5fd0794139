<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** What a pattern asks of whoever sews it. People choose by what they do not want. Source: docs/rules.md. */
enum Technique: string
{
    case SetInSleeve = 'set-in sleeve';
    case Collar = 'collar';
    case CollarStand = 'collar stand';
    case WeltPocket = 'welt pocket';
    case PatchPocket = 'patch pocket';
    case SeamPocket = 'in-seam pocket';
    case Fly = 'fly';
    case Zip = 'zip';
    case InvisibleZip = 'invisible zip';
    case Buttonholes = 'buttonholes';
    case Lining = 'lining';
    case Facing = 'facing';
    case BiasFinish = 'bias finish';
    case Darts = 'darts';
    case Gathers = 'gathers';
    case Pleats = 'pleats';
    case Pintucks = 'pintucks';
    case KnitBands = 'knit bands';
    case Boning = 'boning';
}
