<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** Where a print's repeat is made to meet; many never match. Source: docs/rules.md. */
enum Matching: string
{
    case Never = 'never';
    case MainSeams = 'main seams';
    case Everywhere = 'everywhere';

    public function words(): string
    {
        return match ($this) {
            self::Never => 'not matched',
            self::MainSeams => 'at the main seams',
            self::Everywhere => 'everywhere',
        };
    }
}
