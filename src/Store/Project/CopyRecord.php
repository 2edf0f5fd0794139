<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Database\Identified;
use Octavum\Store\Person\PersonRecord;
use Symfony\Component\Uid\Ulid;

/** One more of what an option makes, for another person or in another size; its claims point to it, so that it is there with them. */
#[ORM\Entity]
#[ORM\Table(name: 'project_copy')]
class CopyRecord
{
    use Identified;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?PersonRecord $person = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $size = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $gradedTo = null;

    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly OptionRecord $option,
    ) {
        $this->id = (string) new Ulid();
    }
}
