<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Matching;

/** What a cloth is for in a garment. */
enum Role: string
{
    case Main = 'main';
    case Contrast = 'contrast';
    case Contrast2 = 'contrast 2';
    case Contrast3 = 'contrast 3';
    case Lining = 'lining';
    case Underlining = 'underlining';
    case Interfacing = 'interfacing';
    case Ribbing = 'ribbing';
    case Pocketing = 'pocketing';
    case Wadding = 'wadding';
    case Trim = 'trim';

    /** Whether pieces of its cloth are laid to the repeat of a print. */
    public function isMatched(Matching $matching): bool
    {
        return Matching::Everywhere === $matching || (Matching::MainSeams === $matching && self::Main === $this);
    }
}
