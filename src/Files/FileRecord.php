<?php

declare(strict_types=1);

namespace Octavum\Files;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Symfony\Component\Uid\Ulid;

/** A photo or an attachment of an account; its bytes lie on the shelf (FileShelf), not in the database. */
#[ORM\Entity]
#[ORM\Table(name: 'file')]
#[ORM\Index(columns: ['account_id', 'removed_at'])]
class FileRecord implements RemovableRecord
{
    use Identified;
    use Removable;

    /** @param list<string> $colours the main ones of a picture, such as #27405e */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column] public FileKind $kind,
        #[ORM\Column] public int $bytes,
        #[ORM\Column] public array $colours = [],
    ) {
        $this->id = (string) new Ulid();
    }
}
