<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Verdict;

/** What a cloth might become, and why or why not. */
final readonly class Proposal
{
    public Group $group;

    public int $points;

    /** Why it is not to be; null of one that might. */
    public ?Sentence $refusal;

    /** @var list<int> the smaller comes first */
    private array $place;

    /**
     * @param ?Fit         $fit   null where the rules refuse it already
     * @param ?Length      $left  of the cloth, when it is enough
     * @param list<Making> $still what could be made of that, the best first; a few of them
     * @param int          $makes how many that are
     * @param ?Reason      $use   what this use does to what else the cloth could become
     * @param ?Cut         $cut   that is looked at, where a pattern is laid for all of them
     * @param ?Length      $free  of it
     */
    public function __construct(
        public Making $making,
        public Judgement $judgement,
        public ?Fit $fit,
        public ?Length $left = null,
        public array $still = [],
        public int $makes = 0,
        public ?Reason $use = null,
        public ?Cloth $cloth = null,
        public ?Cut $cut = null,
        public ?Length $free = null,
    ) {
        $this->points = $judgement->points + ($use->points ?? 0);
        $this->refusal = $this->refused();
        $this->group = null === $this->refusal
            ? Group::of(
                $fit?->spare,
                Verdict::NotKnown !== $fit?->verdict,
                $judgement->isClear(),
                $judgement->points,
                unlikely: $judgement->isUnlikely(),
                unknown: $judgement->isUnknown,
            )
            : Group::Not;
        $this->place = $this->place();
    }

    private function refused(): ?Sentence
    {
        $missing = $this->fit?->missing();
        $far = null !== $missing && Group::isTooFar($missing, $this->fit->amount() ?? Length::zero());

        return match (true) {
            $this->judgement->isRefused() => $this->judgement->withTenor(Tenor::Refusal)[0]->sentence,
            null !== $this->making->unfit => $this->making->unfit,
            null !== $this->fit?->tooWide => new Sentence('{piece} is wider than the cloth, so that no length of it is enough.', [
                'piece' => $this->fit->tooWide->piece,
            ]),
            $far => new Sentence('Much too short: more than two fifths of what it takes is missing.'),
            default => null,
        };
    }

    /** Those of the better group first, and of a group those for which more speaks; of short ones those that lack least. */
    public static function compare(self $a, self $b): int
    {
        return $a->place <=> $b->place;
    }

    /** @return list<int> */
    private function place(): array
    {
        return [
            $this->group->place(),
            match ($this->group) {
                Group::Short => $this->fit?->missing()->micrometres ?? 0,
                default => (int) (Verdict::NotKnown === $this->fit?->verdict),
            },
            -$this->points,
            $this->left->micrometres ?? 0,
        ];
    }
}
