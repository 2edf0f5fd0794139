<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** The trade name of a cloth. Source of what it settles: docs/rules.md. */
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
    case PileFleece = 'pile fleece';
    case Velvet = 'velvet';
    case Velveteen = 'velveteen';
    case Velour = 'velour';
    case Panne = 'panne';
    case FauxFur = 'faux fur';
    case Corduroy = 'corduroy';
    case Flannel = 'flannel';
    case Brushed = 'brushed cloth';
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

    /** How a cloth of this name is made unless someone says otherwise; null where the name does not tell. */
    public function structure(): ?Structure
    {
        return match ($this) {
            self::Jersey,
            self::Interlock,
            self::Rib,
            self::FrenchTerry,
            self::Sweatshirting,
            self::Ponte,
            self::Fleece,
            self::PileFleece,
            self::Velour,
            self::Panne,
            self::Swim => Structure::Knit,
            self::Lawn,
            self::Poplin,
            self::Twill,
            self::Denim,
            self::Chambray,
            self::Linen,
            self::Velveteen,
            self::Corduroy,
            self::Flannel,
            self::Suiting,
            self::Tweed,
            self::Canvas => Structure::Woven,
            self::Wadding => Structure::NonWoven,
            default => null,
        };
    }

    /** Its surface points one way unless someone says otherwise. */
    public function hasNap(): bool
    {
        return \in_array(
            $this,
            [self::Velvet, self::Velveteen, self::Velour, self::Panne, self::FauxFur, self::Corduroy, self::PileFleece],
            true,
        );
    }

    /** Few treat it as one-way: asked once, and not counted until somebody says so. */
    public function isBrushed(): bool
    {
        return self::Flannel === $this || self::Brushed === $this;
    }
}
