<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** The trade name of a cloth. */
enum ClothType: string
{
    case Lawn = 'lawn';
    case Poplin = 'poplin';
    case Twill = 'twill';
    case Denim = 'denim';
    case Crepe = 'crepe';
    case Chambray = 'chambray';
    case Linen = 'linen cloth';
    case Jersey = 'jersey';
    case Interlock = 'interlock';
    case Rib = 'rib';
    case FrenchTerry = 'french terry';
    case Sweatshirting = 'sweatshirting';
    case Ponte = 'ponte';
    case Fleece = 'fleece';
    case Velvet = 'velvet';
    case Corduroy = 'corduroy';
    case Flannel = 'flannel';
    case BoiledWool = 'boiled wool';
    case Coating = 'coating';
    case Suiting = 'suiting';
    case Tweed = 'tweed';
    case Canvas = 'canvas';
    case Satin = 'satin';
    case Lining = 'lining cloth';
    case Net = 'net';
    case Swim = 'swim';
    case Wadding = 'wadding cloth';
    case Other = 'other';
}
