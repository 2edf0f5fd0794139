<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** Another way to make a project than the one that leads; what it claims stands among the project's claims. */
#[ORM\Entity]
#[ORM\Table(name: 'project_option')]
class OptionRecord
{
    use Identified;
    use Made;
    use Removable;
    use Revised;

    /** Let go. */
    #[ORM\Column]
    public bool $past = false;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'options')] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly ProjectRecord $project,
    ) {
        $this->id = (string) new Ulid();
        $project->options->add($this);
    }
}
