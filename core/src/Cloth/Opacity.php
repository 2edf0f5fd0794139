<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Sentence;

enum Opacity: string
{
    case Opaque = 'opaque';
    case SlightlySheer = 'slightly sheer';
    case Sheer = 'sheer';

    /** What a garment of it asks for. */
    public function advice(): ?Sentence
    {
        return self::Sheer === $this ? new Sentence('wants lining or a layer beneath') : null;
    }
}
