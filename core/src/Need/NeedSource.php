<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

/**
 * How a need is known, best first. Source: docs/rules.md; the trust of a calibrated block was measured
 * (docs/decisions/0007).
 */
enum NeedSource: string
{
    case LaidOut = 'laid out';
    case OwnWidth = 'envelope, own width';
    case Converted = 'converted';
    case CalibratedBlock = 'calibrated block';
    case QuickLay = 'laid in a moment';
    case RoughBlock = 'rough block';
    case ByArea = 'by area';
    case Stated = 'as you said';

    /** Per cent by which the need may be off, null where nobody can say. */
    public function trust(): ?int
    {
        return match ($this) {
            self::LaidOut => 2,
            self::Converted, self::QuickLay => 10,
            self::CalibratedBlock, self::ByArea => 15,
            self::RoughBlock => 20,
            self::OwnWidth, self::Stated => null,
        };
    }
}
