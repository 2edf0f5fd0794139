<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Core\Measure\Length;
use Octavum\Core\Remedy\Change;
use Octavum\Core\Remedy\Tried;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\RoleAnswer;
use Octavum\Core\Shopping\Ask;

/** What may be done about a shortfall, as bench/_enough.html.twig shows it. */
final readonly class EnoughPage
{
    /**
     * @param list<Tried>  $tried  each alone
     * @param list<Change> $chosen what is done
     * @param ?Length      $need   with what is ticked; null when it does not go on the cloth that way
     * @param bool         $real   laid again; otherwise by area
     * @param bool         $laid   it is enough as it is, laid out
     * @param ?Ask         $anew   what to ask for when all of it is bought anew
     * @param ?int         $cost   of that, in the smallest coin
     */
    public function __construct(
        public Project $project,
        public RoleAnswer $role,
        public Length $free,
        public array $tried,
        public array $chosen,
        public ?Length $need,
        public GapBar $bar,
        public bool $real,
        public bool $laid,
        public ?Ask $anew,
        public ?int $cost,
    ) {
    }
}
