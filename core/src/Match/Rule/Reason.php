<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Measure\Sentence;

/** One thing that speaks for or against sewing a version from a cloth. */
final readonly class Reason
{
    /**
     * @param int       $points what it counts, below nought against
     * @param ?TestKind $test   that would answer a question; null where nobody needs to try anything
     */
    private function __construct(public Tenor $tenor, public Sentence $sentence, public int $points = 0, public ?TestKind $test = null)
    {
    }

    /** @param array<string, string|int|\DateTimeImmutable|Sentence> $with */
    public static function refusal(string $message, array $with = []): self
    {
        return new self(Tenor::Refusal, new Sentence($message, $with));
    }

    /** @param array<string, string|int|\DateTimeImmutable|Sentence> $with */
    public static function doubt(int $counts, string $message, array $with = []): self
    {
        return new self(Tenor::Doubt, new Sentence($message, $with), -$counts);
    }

    /** @param array<string, string|int|\DateTimeImmutable|Sentence> $with */
    public static function praise(int $counts, string $message, array $with = []): self
    {
        return new self(Tenor::Praise, new Sentence($message, $with), $counts);
    }

    /** @param array<string, string|int|\DateTimeImmutable|Sentence> $with */
    public static function question(?TestKind $test, string $message, array $with = []): self
    {
        return new self(Tenor::Question, new Sentence($message, $with), 0, $test);
    }

    /** The same said, counting nothing. */
    public function asFact(): self
    {
        return new self(Tenor::Fact, $this->sentence);
    }

    /** @param array<string, string|int|\DateTimeImmutable|Sentence> $with */
    public static function fact(string $message, array $with = []): self
    {
        return new self(Tenor::Fact, new Sentence($message, $with));
    }
}
