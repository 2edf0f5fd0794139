<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** Where a cloth is kept, and what is kept with it. */
final readonly class Keeping
{
    /**
     * @param string         $set      of cloths that are kept together
     * @param bool           $setAside out of season, kept with its plan for next year
     * @param ?string        $photo    the name under which a photo of it is kept
     * @param list<TestDone> $tests
     */
    public function __construct(
        public string $place = '',
        public string $set = '',
        public bool $setAside = false,
        public ?string $photo = null,
        public string $notes = '',
        public array $tests = [],
    ) {
    }
}
