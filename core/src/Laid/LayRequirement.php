<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;

/** What a plan asks of a lay for one role of one project: the lay counts as long as it was made with just that. */
final readonly class LayRequirement
{
    /**
     * @param string       $project      id
     * @param string       $size         the largest one used; empty when none is chosen
     * @param ?Cut         $cut          null while the cloth is to be bought, or not chosen
     * @param ?bool        $boughtOneWay whether the cloth that is to be bought is one-way; null where none is
     * @param ?Length      $repeat       of the cloth, where it is to be matched
     * @param list<string> $pieces       by name, where not all of the role come from the cloth
     */
    public function __construct(
        public string $project,
        public Role $role,
        public string $size,
        public ?Version $version,
        public ?Cut $cut,
        public ?bool $boughtOneWay,
        public ?Length $repeat,
        public array $pieces = [],
    ) {
    }
}
