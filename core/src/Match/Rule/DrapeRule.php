<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\NameGuess;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** How it falls: stiff cloth in a draped pattern is the usual flop. */
final readonly class DrapeRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->drape, null === $cloth->feel->drape ? $cloth->guess?->word : null, ...$cloth->guess->drape ?? []];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        [$crispest, $fluidest] = [$asks->advice->crispest, $asks->advice->mostFluid];
        if (null === $crispest && null === $fluidest) {
            return null;
        }
        [$from, $to] = [$crispest ?? Drape::Crisp, $fluidest ?? Drape::Fluid];
        $wants = ['from' => new Sentence($from->value), 'to' => new Sentence($to->value)];
        $guessed = null === $cloth->feel->drape && null !== $cloth->guess ? self::guess($cloth->guess, $from, $to) : null;
        if (null !== $guessed) {
            return $guessed;
        }
        if (null === $cloth->feel->drape) {
            return Reason::question(TestKind::Drape, 'How does it fall? Hang a corner over your hand: it wants {from} to {to}.', $wants);
        }

        return self::say($cloth->feel->drape, $from, $to);
    }

    /** By what it may fall like; null where only a part of that would do. */
    private static function guess(NameGuess $guess, Drape $from, Drape $to): ?Reason
    {
        $order = array_flip(array_column(Drape::cases(), 'value'));
        [$crispest, $fluidest] = $guess->drapes();
        $stiff = $order[$from->value] - $order[$fluidest->value];
        $limp = $order[$crispest->value] - $order[$to->value];
        $isOff = $stiff > 0 || $limp > 0;
        $fits = $order[$crispest->value] >= $order[$from->value] && $order[$fluidest->value] <= $order[$to->value];

        return $isOff || $fits
            ? self::say($stiff > 0 ? $fluidest : $crispest, $from, $to)->asGuess($guess->word, max(0, $stiff, $limp))
            : null;
    }

    private static function say(Drape $drape, Drape $from, Drape $to): Reason
    {
        $order = array_flip(array_column(Drape::cases(), 'value'));
        $at = $order[$drape->value];
        $wants = ['from' => new Sentence($from->value), 'to' => new Sentence($to->value), 'is' => new Sentence($drape->value)];

        return match (true) {
            $at < $order[$from->value] => Reason::doubt(
                min(6, 3 * ($order[$from->value] - $at)),
                'Falls {is}, and it wants {from} to {to}: it would stand off where it should hang.',
                $wants,
            ),
            $at > $order[$to->value] => Reason::doubt(
                min(6, 3 * ($at - $order[$to->value])),
                'Falls {is}, and it wants {from} to {to}: it would hang limp where it should hold its shape.',
                $wants,
            ),
            default => Reason::praise(3, 'Falls {is}, as it should.', $wants),
        };
    }
}
