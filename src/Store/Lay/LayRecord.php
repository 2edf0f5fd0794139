<?php

declare(strict_types=1);

namespace Octavum\Store\Lay;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Account\OwnedByAccount;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A saved lay. */
#[ORM\Entity(repositoryClass: LayRepository::class)]
#[ORM\Table(name: 'lay')]
#[ORM\Index(columns: ['account_id', 'removed_at'])]
class LayRecord implements Owned, RemovableRecord
{
    use Identified;
    use OwnedByAccount;
    use Removable;
    use Revised;

    #[ORM\Column(length: 120)]
    public string $name = '';

    /** @var array<string, mixed> as in the exchange format, with the ids of stored cuts, projects and versions */
    #[ORM\Column]
    public array $lay = [];

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account)
    {
        $this->id = (string) new Ulid();
    }

    /** @return list<string> ids of the cuts it lies on */
    public function cuts(): array
    {
        $sheets = $this->lay['sheets'] ?? [];

        return array_values(
            array_filter(
                array_map(
                    static fn (mixed $sheet): mixed => \is_array($sheet) ? $sheet['cut'] ?? null : null,
                    \is_array($sheets) ? $sheets : [],
                ),
                is_string(...),
            ),
        );
    }

    /**
     * Puts the ids of stored records in the place of those of a document.
     *
     * @param array<string, string> $cuts     old → new
     * @param array<string, string> $projects
     * @param array<string, string> $versions
     */
    public function rename(array $cuts, array $projects, array $versions): void
    {
        $renamed = static function (mixed $row, string $field, array $new): mixed {
            if (\is_array($row) && \is_string($row[$field] ?? null)) {
                $row[$field] = $new[$row[$field]] ?? $row[$field];
            }

            return $row;
        };
        foreach (
            [['sheets', 'cut', $cuts], ['garments', 'project', $projects], ['garments', 'version', $versions]] as [$part, $field, $new]
        ) {
            $rows = $this->lay[$part] ?? null;
            $this->lay[$part] = array_map(static fn (mixed $row): mixed => $renamed($row, $field, $new), \is_array($rows) ? $rows : []);
        }
    }
}
