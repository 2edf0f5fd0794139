<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

enum NotionKind: string
{
    case Button = 'button';
    case Zip = 'zip';
    case Elastic = 'elastic';
    case Binding = 'bias binding';
    case Interfacing = 'interfacing';
    case Thread = 'thread';
    case Tape = 'tape';
    case Ribbon = 'ribbon';
    case Piping = 'piping';
    case Trimming = 'lace or braid';
    case Ribbing = 'ribbing';
    case Hook = 'hook';
    case Snap = 'snap';
    case Cord = 'cord';
    case Ring = 'ring';
    case Buckle = 'buckle';
    case Clasp = 'clip or clasp';
    case Pad = 'shoulder pad';
    case Boning = 'boning';
    case Other = 'other';

    /** Whether it is owned and needed by length, not by number. */
    public function goesByLength(): bool
    {
        return match ($this) {
            self::Elastic, self::Binding, self::Interfacing, self::Ribbing, self::Cord, self::Boning,
            self::Tape, self::Ribbon, self::Piping, self::Trimming => true,
            default => false,
        };
    }

    /** What its one decisive measure is called: the length of a zip, the width of elastic. */
    public function measure(): string
    {
        return match (true) {
            self::Zip === $this => 'length',
            $this->goesByLength() => 'width',
            self::Thread === $this => '',
            default => 'size',
        };
    }
}
