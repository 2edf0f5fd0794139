<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What the name of a cloth lets one expect of it: guesses, each to be replaced by a word, a figure or a test. */
final readonly class NameGuess
{
    /**
     * @param string          $word      of the name, that tells it
     * @param ?Structure      $structure null where the name does not tell
     * @param array{int, int} $grams     g/m², from and to
     * @param array{int, int} $drape     steps from 1, crisp, to 5, fluid
     * @param ?Opacity        $opacity   null where the name does not tell
     * @param array{int, int} $stretch   per cent across, from and to
     * @param ?Edges          $edges     null where the name does not tell
     * @param ?Warmth         $warmth    null for any days
     */
    public function __construct(
        public string $word,
        public ?Structure $structure,
        public array $grams,
        public array $drape,
        public ?Opacity $opacity,
        public array $stretch,
        public ?Edges $edges,
        public ?Warmth $warmth,
    ) {
    }

    /** @return array{WeightClass, WeightClass} the lightest and the heaviest it may be */
    public function weights(): array
    {
        return [Weight::ofGrams($this->grams[0])->class, Weight::ofGrams($this->grams[1])->class];
    }

    /** In the middle of what it may weigh. */
    public function weight(): WeightClass
    {
        return Weight::ofGrams(intdiv($this->grams[0] + $this->grams[1], 2))->class;
    }

    /** @return array{Drape, Drape} the crispest and the most fluid it may be */
    public function drapes(): array
    {
        return [Drape::cases()[$this->drape[0] - 1], Drape::cases()[$this->drape[1] - 1]];
    }
}
