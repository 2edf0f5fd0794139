<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\NameGuess;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** The weight the envelope asks for, in the words of the trade. */
final readonly class WeightRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->weight, null === $cloth->weight ? $cloth->guess?->word : null];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        [$lightest, $heaviest] = [$asks->advice->lightest, $asks->advice->heaviest];
        if (null === $lightest && null === $heaviest) {
            return null;
        }
        $guessed = null === $cloth->weight && null !== $cloth->guess ? self::guess($cloth->guess, $lightest, $heaviest) : null;
        if (null !== $guessed) {
            return $guessed;
        }
        if (null === $cloth->weight) {
            return Reason::question(TestKind::Swatch, 'How heavy is it? Weigh a swatch: {wants}.', [
                'wants' => self::wants($lightest, $heaviest),
            ]);
        }

        return self::say($cloth->weight, self::off($cloth->weight, $lightest, $heaviest), $lightest, $heaviest);
    }

    /** By the middle of what it may weigh; null where that is off and a heavier or lighter one would do. */
    private static function guess(NameGuess $guess, ?WeightClass $lightest, ?WeightClass $heaviest): ?Reason
    {
        $offs = array_map(static fn (WeightClass $class): int => self::off($class, $lightest, $heaviest), $guess->weights());
        $middle = $guess->weight();
        $off = self::off($middle, $lightest, $heaviest);
        $isOpen = 0 !== $off && min($offs) <= 0 && max($offs) >= 0;

        return $isOpen ? null : self::say($middle, $off, $lightest, $heaviest)->asGuess($guess->word, abs($off));
    }

    /** Steps too light, below nought, or too heavy. */
    private static function off(WeightClass $class, ?WeightClass $lightest, ?WeightClass $heaviest): int
    {
        $order = array_flip(array_column(WeightClass::cases(), 'value'));
        $at = $order[$class->value];

        return match (true) {
            null !== $lightest && $at < $order[$lightest->value] => $at - $order[$lightest->value],
            null !== $heaviest && $at > $order[$heaviest->value] => $at - $order[$heaviest->value],
            default => 0,
        };
    }

    private static function say(WeightClass $class, int $off, ?WeightClass $lightest, ?WeightClass $heaviest): Reason
    {
        $with = ['is' => new Sentence($class->value), 'wants' => self::wants($lightest, $heaviest)];

        return match (true) {
            0 === $off => Reason::praise(2, 'The weight is right: {is}, and {wants}.', $with),
            $off < 0 => Reason::doubt(
                min(4, -2 * $off),
                'Too light: it is {is}, and {wants}. It will cling and show everything under it.',
                $with,
            ),
            default => Reason::doubt(min(4, 2 * $off), 'Too heavy: it is {is}, and {wants}. Seams get thick and gathers stand off.', $with),
        };
    }

    private static function wants(?WeightClass $lightest, ?WeightClass $heaviest): Sentence
    {
        [$from, $to] = [new Sentence($lightest->value ?? ''), new Sentence($heaviest->value ?? '')];

        return match (true) {
            $lightest === $heaviest => new Sentence('it wants {from}', ['from' => $from]),
            null === $heaviest => new Sentence('it wants {from} or heavier', ['from' => $from]),
            null === $lightest => new Sentence('it wants {to} or lighter', ['to' => $to]),
            default => new Sentence('it wants {from} to {to}', ['from' => $from, 'to' => $to]),
        };
    }
}
