<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** What the envelope itself warns of: plaids, stripes, diagonals, nap. */
final readonly class WarningRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->print, $cloth->oneWay, $cloth->type];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $warned = mb_strtolower($asks->advice->notFor);
        if ('' === $warned) {
            return null;
        }
        $is = match (true) {
            PrintKind::Check === $cloth->print && 1 === preg_match('/plaid|check|tartan|gingham/', $warned) => 'checked',
            \in_array($cloth->print, [PrintKind::Stripe, PrintKind::StripeAcross], true) && str_contains($warned, 'stripe') => 'striped',
            PrintKind::Border === $cloth->print && str_contains($warned, 'border') => 'printed with a border',
            true === $cloth->type?->hasNap() && 1 === preg_match('/\bnap|pile/', $warned) => 'a cloth with a nap',
            $cloth->oneWay && 1 === preg_match('/one[- ]way|direction/', $warned) => 'one-way',
            ClothType::Twill === $cloth->type && str_contains($warned, 'diagonal') => 'a twill, whose lines run slantwise',
            default => null,
        };

        return null === $is ? null : Reason::doubt(3, 'The envelope says “not for {warned}”, and this is {is}: its seams will not match.', [
            'warned' => $asks->advice->notFor,
            'is' => new Sentence($is),
        ]);
    }
}
