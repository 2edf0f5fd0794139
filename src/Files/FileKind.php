<?php

declare(strict_types=1);

namespace Octavum\Files;

/** What is kept; the value is the ending of its file. Every picture is kept as a JPEG, whatever it came as. */
enum FileKind: string
{
    case Picture = 'jpg';
    case Document = 'pdf';

    public function mime(): string
    {
        return match ($this) {
            self::Picture => 'image/jpeg',
            self::Document => 'application/pdf',
        };
    }
}
