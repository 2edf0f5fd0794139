<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

/** Where a body is measured; those that choose a size first, then girths, then lengths. */
enum BodyPoint: string
{
    case Bust = 'bust';
    case Waist = 'waist';
    case Hip = 'hip';
    case Height = 'height';
    case HighBust = 'high bust';
    case Neck = 'neck';
    case Head = 'head';
    case UpperArm = 'upper arm';
    case Thigh = 'thigh';
    case BackWaist = 'back waist';
    case Arm = 'arm';
    case Rise = 'crotch depth';
    case InsideLeg = 'inside leg';

    /** How the tape is held. */
    public function how(): string
    {
        return match ($this) {
            self::Head => 'round the widest part, above the ears',
            self::Neck => 'round its base, where a collar would sit',
            self::HighBust => 'round the body under the arms, above the bust',
            self::Bust => 'round the fullest part, level all the way; a child’s or a man’s chest',
            self::Waist => 'where a ribbon settles when bending to the side',
            self::Hip => 'round the fullest part, feet together',
            self::UpperArm => 'round the fullest part, arm slightly bent',
            self::Thigh => 'round the fullest part, standing',
            self::Height => 'without shoes, heels to the wall',
            self::BackWaist => 'from the bone at the base of the neck down to the waist',
            self::Arm => 'from the shoulder point over a bent elbow to the wrist',
            self::Rise => 'sitting on a flat chair, from the waist down to the seat',
            self::InsideLeg => 'from the crotch to the floor, without shoes',
        };
    }
}
