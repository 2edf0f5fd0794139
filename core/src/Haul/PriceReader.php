<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Reading\Chip;

/** A price: by the metre, the half metre, the yard or the piece. */
final readonly class PriceReader
{
    public function __construct(private HaulCursor $line)
    {
    }

    /** @return ?array{int, Unit|'piece', bool} coins, for how long a piece, and whether that is a guess */
    public function price(): ?array
    {
        $money = '(?:[€£$]\s?)?(\d{1,4}(?:[.,]\d{1,2})?)\s?(?:€|£|\$|eur|euros?|gbp|usd|quid)?';
        $half =
            'half[ -]?(?:an? )?(?:metre|meter|m)|(?:½|1/2|0?[.,]5)\s?(?:metre|meter|m)|50\s?cm'.
            '|half[ -]?(?:an? )?(?:yard|yd)|(?:½|1/2)\s?(?:yard|yd)';
        $found =
            $this->line->take(
                '(?:(?<![\d.,/])(?=[€£$])|(?<![\d.,/€£$])(?=\d{1,4}(?:[.,]\d{1,2})?\s?(?:€|£|\$|eur|gbp|usd)))'.
                    $money.
                    '\s('.
                    $half.
                    ')'.
                    HaulCursor::WORD_END,
            ) ??
            $this->line->take(
                '(?<![\d.,/])'.
                    $money.
                    '\s?(?:/|p/|(?:per|an?|for|the)\s)+\s?('.
                    $half.
                    '|metre|meter|mtr|m|yard|yd|piece|pc|cut|remnant|lot)'.
                    HaulCursor::WORD_END,
            );
        if (null !== $found) {
            $per = match (true) {
                1 === preg_match('~^(?:half|½|1/2|0?[.,]5).*(?:yard|yd)$~u', $found[2]) => [Unit::Yard, 2],
                1 === preg_match('~^(?:half|½|1/2|0?[.,]5|50)~u', $found[2]) => [Unit::Metre, 2],
                \in_array($found[2], ['yard', 'yd'], true) => [Unit::Yard, 1],
                \in_array($found[2], ['piece', 'pc', 'cut', 'remnant', 'lot'], true) => ['piece', 1],
                default => [Unit::Metre, 1],
            };

            return [$this->coins($found[1]) * $per[1], $per[0], false];
        }
        $found = $this->line->take(
            '(?:[€£$]\s?(\d{1,4}(?:[.,]\d{1,2})?)|(?<![\d.,/])(\d{1,4}(?:[.,]\d{1,2})?)\s?(?:€|£|\$|eur|euros?|gbp|usd|quid)'.
                HaulCursor::WORD_END.
                ')(?:\s(?:total|altogether|in all|each|the lot|for the (?:lot|piece)))?',
        );
        if (null !== $found) {
            return [
                $this->coins('' === $found[1] ? $found[2] ?? '' : $found[1]),
                'piece',
                1 !== preg_match('/total|altogether|in all|lot|piece/', $found[0]),
            ];
        }
        $found = $this->line->take('(?<![\d.,/x])(\d{1,4}(?:[.,]\d{1,2})?)\sfor all(?: of (?:it|them))?'.HaulCursor::WORD_END);
        if (null !== $found) {
            return [$this->coins($found[1]), 'piece', false];
        }
        $found = $this->line->take('(?<!\p{L})for\s(\d{1,4}(?:[.,]\d{2})?)(?=\s*(?:$|,))');
        if (null !== $found) {
            return [$this->coins($found[1]), 'piece', true];
        }
        $found = $this->line->take('(?<![\d.,/x])(?<!x\s)(\d{1,3}[.,]\d{2})(?=\s*$)');

        return null === $found ? null : [$this->coins($found[1]), 'piece', true];
    }

    /**
     * A price without a sign on a remnant, which is sold by the piece.
     *
     * @return ?array{int, 'piece', true}
     */
    public function barePrice(string $label): ?array
    {
        $found =
            '' === $label
                ? null
                : $this->line->take('(?<![\d.,/x])(\d{1,3}[.,]\d{2})(?![\d.,]|\s?'.HaulCursor::UNIT.HaulCursor::WORD_END.')');

        return null === $found ? null : [$this->coins($found[1]), 'piece', true];
    }

    /** @param ?array{int, Unit|'piece', bool} $price */
    public function perMetre(?array $price, ?Length $length, int $count): ?int
    {
        if (null === $price) {
            return null;
        }
        [$coins, $per, $guess] = $price;
        $amount = \sprintf('%.2f', $coins / 100);
        if ('piece' !== $per) {
            $perMetre = Rounding::Nearest->divide($coins * Unit::Metre->value, $per->value);
            $this->line->chip(
                new Chip(
                    'price',
                    Unit::Yard === $per
                        ? new Sentence('{amount} a yard', ['amount' => $amount])
                        : new Sentence('{amount} a metre', ['amount' => $amount]),
                ),
            );

            return $perMetre;
        }
        if (null === $length) {
            $this->line->doubt(
                new Sentence('{amount} for the piece: a price a metre follows once the length is known', [
                    'amount' => $amount,
                ]),
            );

            return null;
        }
        $this->line->chip(new Chip('price', new Sentence('{amount} for the piece', ['amount' => $amount]), $guess));
        if ($guess) {
            $this->line->doubt(
                new Sentence('{amount} is taken for the whole piece: type {amount}/m if it is for a metre', [
                    'amount' => $amount,
                ]),
            );
        }
        if ($count > 1) {
            $this->line->doubt(new Sentence('{amount} is taken for one of the {count} cuts', ['amount' => $amount, 'count' => $count]));
        }

        return Rounding::Nearest->divide($coins * Unit::Metre->value, $length->micrometres);
    }

    private function coins(string $amount): int
    {
        return (int) round(100 * (float) str_replace(',', '.', $amount));
    }
}
