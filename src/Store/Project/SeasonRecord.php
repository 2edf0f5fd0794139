<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Core\Project\Season;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

#[ORM\Entity]
#[ORM\Table(name: 'season')]
#[ORM\Index(columns: ['account_id'])]
class SeasonRecord implements RemovableRecord
{
    use Identified;
    use Removable;
    use Revised;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column]
    public \DateTimeImmutable $starts;

    #[ORM\Column]
    public int $weeks = 13;

    #[ORM\Column]
    public int $minutesPerWeek = 240;

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    /** @var list<int> weeks without sewing, the first is 1 */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $off = [];

    /** Garments; null for as many as there are hours. */
    #[ORM\Column(nullable: true)]
    public ?int $most = null;

    /** Of an account one at most: what is planned for no season. */
    #[ORM\Column(options: ['default' => false])]
    public bool $undated = false;

    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account,
        \DateTimeImmutable $starts,
    ) {
        $this->id = (string) new Ulid();
        $this->starts = $starts;
    }

    public static function none(Account $account): self
    {
        $season = Season::none();
        $record = new self($account, $season->starts);
        [$record->name, $record->weeks, $record->minutesPerWeek, $record->undated] = [$season->name, $season->weeks, 0, true];

        return $record;
    }
}
