<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Season;

/** What the projects of a document may name, each by '#' and id. */
final readonly class References
{
    /**
     * @param array<string, Person>                  $people
     * @param array<string, array{Cloth, Cut}>       $cuts
     * @param array<string, array{Pattern, Version}> $versions
     * @param array<string, Season>                  $seasons
     * @param array<string, SavedLay>                $lays
     */
    public function __construct(
        public array $people,
        public array $cuts,
        public array $versions,
        public array $seasons,
        public array $lays,
    ) {
    }
}
