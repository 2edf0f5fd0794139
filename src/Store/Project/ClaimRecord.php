<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Database\Identified;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Lay\LayRecord;
use Symfony\Component\Uid\Ulid;

/** What an option takes for a role, once or for one of its copies. */
#[ORM\Entity]
#[ORM\Table(name: 'claim')]
class ClaimRecord
{
    use Identified;

    #[ORM\Column]
    public Role $role = Role::Main;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?CutRecord $cut = null;

    /** @var ?array<string, mixed> what is to be bought, as in the exchange format */
    #[ORM\Column(nullable: true)]
    public ?array $buy = null;

    /** Micrometres. */
    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $stated = null;

    #[ORM\Column]
    public bool $cutOut = false;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?LayRecord $lay = null;

    /** @var list<string> it is for, by name; none for all of its role */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $pieces = [];

    /** @var array<string, string> what was said of the checks before cutting, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $gate = [];

    /** Micrometres that were really cut off. */
    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $used = null;

    /** Micrometres that the envelope asked for when it was cut. */
    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $asked = null;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'claims')] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly OptionRecord $option,
        #[ORM\ManyToOne(cascade: ['persist'])] #[ORM\JoinColumn(onDelete: 'CASCADE')]
        public readonly ?CopyRecord $copy = null,
    ) {
        $this->id = (string) new Ulid();
        $option->claims->add($this);
    }

    /** What tells it from the others of a way to make a project, as the core says it. */
    public function place(): string
    {
        return (new Claim('', $this->role, pieces: $this->pieces))->place();
    }
}
