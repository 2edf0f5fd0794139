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
     * @param int       $points      what it counts, below nought against
     * @param ?TestKind $test        that would answer a question; null where nobody needs to try anything
     * @param ?string   $guessedFrom the word of a name on which it rests; null where it was measured or said
     * @param int       $off         steps that a guess is off what is wanted
     */
    private function __construct(
        public Tenor $tenor,
        public Sentence $sentence,
        public int $points = 0,
        public ?TestKind $test = null,
        public ?string $guessedFrom = null,
        public int $off = 0,
    ) {
    }

    /** Whole, so that it can stand alone. */
    public function whole(): Sentence
    {
        return null === $this->guessedFrom ? $this->sentence : new Sentence('{reason} Guessed from “{word}”.', [
            'reason' => $this->sentence,
            'word' => $this->guessedFrom,
        ]);
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
        $points = intdiv($this->points + ($this->points <=> 0), 2);

        if (Tenor::Refusal === $this->tenor) {
            return new self(Tenor::Doubt, $this->sentence, self::GUESSED_REFUSAL, guessedFrom: $word, off: Judgement::FAR);
        }
        $off = Tenor::Doubt === $this->tenor ? $off : 0;

        return new self($this->tenor, $this->sentence, $points, $this->test, guessedFrom: $word, off: $off);
    }

    /** The same said, counting nothing. */
    public function asFact(): self
    {
        return new self(Tenor::Fact, $this->sentence, guessedFrom: $this->guessedFrom);
    }

    /** @param array<string, string|int|\DateTimeImmutable|Sentence> $with */
    public static function fact(string $message, array $with = []): self
    {
        return new self(Tenor::Fact, new Sentence($message, $with));
    }
}
