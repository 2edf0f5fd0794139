<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Core\Measure\System;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Symfony\Component\Uid\Ulid;

/** A version of a pattern as stored, its requirement table with it. */
#[ORM\Entity]
#[ORM\Table(name: 'version')]
class VersionRecord implements Owned, RemovableRecord
{
    use Identified;
    use Removable;

    public const PART_OF = 'pattern';

    #[ORM\Column(length: 60)]
    public string $name = '';

    /** @var list<string> */
    #[ORM\Column]
    public array $sizes = [];

    /** @var list<array{role: string, width: float|int, nap: string, lengths: list<float|int|null>}> rows as in the exchange format */
    #[ORM\Column]
    public array $requirements = [];

    /** The units in which the envelope prints them. */
    #[ORM\Column(nullable: true)]
    public ?System $printed = null;

    /** @var array<int|string, string> a mark for each size that has pieces */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $marks = [];

    /** @var array<int|string, array<string, array{piece: string, across: int}>> size → role → its widest piece, in micrometres */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $widest = [];

    /** @var list<string> */
    #[ORM\Column]
    public array $notions = [];

    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    /** @var list<string> what it has */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $features = [];

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'versions')] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE'),]
        public readonly PatternRecord $pattern,
    ) {
        $this->id = (string) new Ulid();
        $pattern->versions->add($this);
    }

    public function isOpenTo(Account $account): bool
    {
        return $this->pattern->isOpenTo($account);
    }
}
