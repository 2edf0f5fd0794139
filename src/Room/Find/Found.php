<?php

declare(strict_types=1);

namespace Octavum\Room\Find;

/** Something that was found. */
final readonly class Found
{
    /**
     * @param string $kind    the route of its page: cloth, pattern …
     * @param string $more    shown beside its name
     * @param string $rest    searched, not shown
     * @param string $garment of a pattern or a project; empty where there is none
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $name,
        public string $more,
        public string $rest,
        public string $garment,
    ) {
    }
}
