<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** What was tried and what was bad, with how to repeat the first few. */
final class Tally
{
    private const SHOWN = 5;
    public int $tried = 0;
    public int $bad = 0;

    /** @var list<string> */
    public array $first = [];

    /** @var list<string> figures of interest */
    public array $figures = [];

    public float $slowest = 0;

    /** @param float $slow seconds that an answer may take */
    public function __construct(private readonly float $slow)
    {
    }

    public function bad(string $what): void
    {
        ++$this->bad;
        if (\count($this->first) < self::SHOWN) {
            $this->first[] = $what;
        }
    }

    /** An answer must come, in time (some may take so many times as long), and must not be a fault of the application's. */
    public function answer(Answer $answer, string $what, int $times = 1): void
    {
        ++$this->tried;
        $this->slowest = max($this->slowest, $answer->seconds);
        if (0 === $answer->status || \in_array($answer->status, [500, 502, 504], true)) {
            $this->bad(\sprintf('%s: %s', $what, 0 === $answer->status ? $answer->content : 'answers '.$answer->status));
        } elseif ($answer->seconds > $times * $this->slow) {
            $this->bad(\sprintf('%s: took %.1f s', $what, $answer->seconds));
        }
    }

    public function expect(bool $is, string $what): void
    {
        ++$this->tried;
        if (!$is) {
            $this->bad($what);
        }
    }
}
