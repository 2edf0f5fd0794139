<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Match\Criteria\ToileSchool;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Garment;

/** Whether a toile is advised, and from what it could be sewn. Source: docs/rules.md. */
final readonly class Toile
{
    /** Whose fit is close. */
    private const CLOSE = [Garment::Trousers, Garment::Bra, Garment::Swimwear, Garment::Jacket, Garment::Coat, Garment::Waistcoat];

    /** Per cent of stretch by which the cloth of a toile may differ. A starting value of the house. */
    private const STRETCH = 10;

    /**
     * @param ?Traits $cloth it is to be sewn from; null while that is open
     *
     * @return list<Sentence> why one is advised; none when it is not
     */
    public function reasons(Making $making, ?Traits $cloth): array
    {
        $school = $making->asks->sewist->toiles;
        $bad = $making->asks->experience->bad;
        $new = 0 === $making->asks->experience->good;
        if (ToileSchool::Never === $school) {
            return [];
        }
        $why = ToileSchool::Always === $school ? [new Sentence('You always sew one.')] : [];
        if (null !== $bad) {
            $why[] = new Sentence('The last one turned out badly: {words}.', ['words' => $bad->words]);
        }
        if ($new && true === $cloth?->precious) {
            $why[] = new Sentence('You have not made this before, and the cloth is precious.');
        }
        if (null !== $making->gradedTo) {
            $why[] = new Sentence('Sizes are graded between, {from} to {to}: try where they meet.', [
                'from' => $making->size ?? '',
                'to' => $making->gradedTo,
            ]);
        }
        $close = \in_array($making->pattern->makes->garment, self::CLOSE, true)
            || null !== $making->asks->has(Feature::Fitted);
        if ($new && $close) {
            $why[] = new Sentence('It fits closely, and you have not made it before.');
        }

        return $why;
    }

    /** Whether a cloth is of like weight, structure and stretch, so that a toile of it tells the truth, and not too good for one. */
    public function isLike(Traits $toile, Traits $cloth): bool
    {
        $order = array_column(WeightClass::cases(), 'value');
        $at = static fn (?WeightClass $weight): int => (int) array_search($weight?->value, $order, true);

        return !$toile->precious
            && $toile->structure === $cloth->structure
            && null !== $toile->weight
            && null !== $cloth->weight
            && abs($at($toile->weight) - $at($cloth->weight)) <= 1
            && null !== $toile->stretch
            && null !== $cloth->stretch
            && abs($toile->stretch - $cloth->stretch) <= self::STRETCH;
    }
}
