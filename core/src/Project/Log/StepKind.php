<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** What a step is, so that steps of one kind can be done for several projects in one go. */
enum StepKind: string
{
    case Print = 'print and tape';
    case Trace = 'trace';
    case Draw = 'draw alterations';
    case Toile = 'toile';
    case Fit = 'try on';
    case Wash = 'wash';
    case CutOut = 'cut out';
    case Fuse = 'fuse';
    case Sew = 'sew';
    case Overlock = 'overlock';
    case Finish = 'finish';

    /** Whether it comes before the scissors, or is them. */
    public function isPreparation(): bool
    {
        return \in_array($this, [self::Print, self::Trace, self::Draw, self::Toile, self::Wash, self::CutOut], true);
    }

    /** Whether its minutes are of the pattern's hours, to which a sewist's pace applies. */
    public function isSewing(): bool
    {
        return \in_array($this, [self::Fuse, self::Sew, self::Overlock, self::Finish], true);
    }

    /** Whether it waits for no step before it: the cloth is washed while the pattern is still being traced. */
    public function isAtAnyTime(): bool
    {
        return self::Wash === $this;
    }
}
