<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** One line of a working. */
final readonly class WorkingLine
{
    public function __construct(
        public Sentence $label,
        public Operation $operation,
        public Figure $figure,
        public ?Source $source = null,
    ) {
    }
}
