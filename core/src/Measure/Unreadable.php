<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** Something given that cannot be taken; its sentence says what was wrong and what to type instead. */
final class Unreadable extends \InvalidArgumentException
{
    public function __construct(public readonly Sentence $sentence)
    {
        parent::__construct((string) $sentence);
    }

    /** @param array<string, string|int|Figure|Percent|\DateTimeImmutable|Sentence> $with */
    public static function because(string $message, array $with = []): self
    {
        return new self(new Sentence($message, $with));
    }
}
