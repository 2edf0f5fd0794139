<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Measure\Sentence;

/** One thing that speaks for or against sewing a version from a cloth. */
final readonly class Reason
{
    /** What a guess counts that would refuse if it were known. A starting value of the house. */
    private const GUESSED_REFUSAL = -3;

    /**
     * @param int       $points  what it counts, below nought against
     * @param ?TestKind $test    that would answer a question; null where nobody needs to try anything
     * @param bool      $isGuess it rests on a name, not on what was measured or said
     * @param int       $off     steps that a guess is off what is wanted
     */
    private function __construct(
        public Tenor $tenor,
        public Sentence $sentence,
        public int $points = 0,
        public ?TestKind $test = null,
        public bool $isGuess = false,
        public int $off = 0,
    ) {
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

    /**
     * The same as a guess from a name: it counts half, upwards, and a refusal becomes a doubt.
     *
     * @param string $word of the name
     * @param int    $off  steps it is off what is wanted
     */
    public function asGuess(string $word, int $off = 0): self
    {
        $sentence = new Sentence('{reason} Guessed from “{word}”.', ['reason' => $this->sentence, 'word' => $word]);
        $points = intdiv($this->points + ($this->points <=> 0), 2);

        return match ($this->tenor) {
            Tenor::Refusal => new self(Tenor::Doubt, $sentence, self::GUESSED_REFUSAL, null, true, Judgement::FAR),
            default => new self($this->tenor, $sentence, $points, $this->test, true, Tenor::Doubt === $this->tenor ? $off : 0),
        };
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
