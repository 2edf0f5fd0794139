<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

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
}
