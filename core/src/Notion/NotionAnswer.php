<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** One notion a project asks for, and what the stash has of it. */
final readonly class NotionAnswer
{
    /**
     * @param string              $text    as the envelope lists it
     * @param ?bool               $enough  null when nobody can say
     * @param ?int                $missing of what goes by number
     * @param ?Length             $short   of what goes by length
     * @param ?\DateTimeImmutable $comes   about when the last of it does, where it is enough with what is ordered
     */
    public function __construct(
        public string $text,
        public Notion $wanted,
        public ?bool $enough,
        public ?int $missing,
        public ?Length $short,
        public Sentence $sentence,
        public ?\DateTimeImmutable $comes = null,
    ) {
    }
}
