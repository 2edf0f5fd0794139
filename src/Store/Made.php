<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Core\Measure\Matching;

/** How a project is made, but for what it claims: of the project its leading way, of an option another. */
trait Made
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?VersionRecord $version = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $size = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $gradedTo = null;

    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    /** @var list<array<string, mixed>> as in the exchange format */
    #[ORM\Column]
    public array $alterations = [];

    #[ORM\Column(nullable: true)]
    public ?Matching $matching = null;

    /** @var list<string> kept alterations that do not count, by name */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $leftOut = [];

    /** @var list<string> roles left out on purpose */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $declined = [];

    /** What it hangs on. */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $hangsOn = '';

    /** @var list<array<string, string|int|float|list<string>>> from other patterns, as exchanged, with the ids of stored versions */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $parts = [];

    /** Counts changes to what it claims, so that they too make a new revision. */
    #[ORM\Column(options: ['default' => 0])]
    public int $changes = 0;

    /** Each is made as the other was. */
    public function changeWith(OptionRecord $other): void
    {
        [$this->version, $other->version] = [$other->version, $this->version];
        [$this->size, $other->size] = [$other->size, $this->size];
        [$this->gradedTo, $other->gradedTo] = [$other->gradedTo, $this->gradedTo];
        [$this->minutes, $other->minutes] = [$other->minutes, $this->minutes];
        [$this->alterations, $other->alterations] = [$other->alterations, $this->alterations];
        [$this->matching, $other->matching] = [$other->matching, $this->matching];
        [$this->leftOut, $other->leftOut] = [$other->leftOut, $this->leftOut];
        [$this->declined, $other->declined] = [$other->declined, $this->declined];
        [$this->hangsOn, $other->hangsOn] = [$other->hangsOn, $this->hangsOn];
        [$this->parts, $other->parts] = [$other->parts, $this->parts];
    }
}
