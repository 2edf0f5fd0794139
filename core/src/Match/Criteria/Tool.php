<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

use Octavum\Core\Pattern\Technique;

/** What a technique wants besides a machine that sews straight. Source: docs/rules.md. */
enum Tool: string
{
    case ButtonholeFoot = 'a buttonhole foot';
    case ZipFoot = 'a zip foot';
    case InvisibleZipFoot = 'a foot for invisible zips';
    case StretchStitch = 'a stretch stitch or an overlocker';

    public static function of(Technique $technique): ?self
    {
        return match ($technique) {
            Technique::Buttonholes => self::ButtonholeFoot,
            Technique::Zip, Technique::Fly => self::ZipFoot,
            Technique::InvisibleZip => self::InvisibleZipFoot,
            Technique::KnitBands => self::StretchStitch,
            default => null,
        };
    }
}
