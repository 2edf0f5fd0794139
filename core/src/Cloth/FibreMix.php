<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Unreadable;

/**
 * The fibres of a cloth in whole per cent, and how they are known. Empty when nothing is known; shares of nought when only their
 * names are.
 */
final readonly class FibreMix
{
    /** @param array<string, int> $shares fibre value → per cent, largest first; all nought when the shares are not known */
    private function __construct(public array $shares, public Knowledge $knowledge)
    {
    }

    public static function unknown(): self
    {
        return new self([], Knowledge::Unknown);
    }

    /**
     * @param array<string, int> $shares fibre value → per cent; none at all is allowed, and nought for each where nobody knows the shares
     *
     * @throws Unreadable when they do not add up to 100 %, or a share or a fibre is not one
     */
    public static function of(array $shares, Knowledge $knowledge): self
    {
        $named = [] === array_filter($shares, static fn (int $share): bool => 0 !== $share);
        // a number in quotes is a number to PHP
        foreach (array_map(strval(...), array_keys($shares)) as $fibre) {
            $share = $shares[$fibre];
            if (null === Fibre::tryFrom($fibre)) {
                throw Unreadable::because(
                    '“{fibre}” is not a fibre known here: choose one of {fibres}.',
                    ['fibre' => $fibre, 'fibres' => implode(', ', array_column(Fibre::cases(), 'value'))],
                );
            }
            if (!$named && ($share < 1 || $share > 100)) {
                throw Unreadable::because(
                    '{share} % of {fibre} is not a share: type a whole number from 1 to 100.',
                    ['share' => $share, 'fibre' => $fibre],
                );
            }
        }
        $sum = array_sum($shares);
        if (!$named && 100 !== $sum) {
            throw Unreadable::because(
                'The fibres add up to {sum} %, not 100 %: correct the shares, or leave all of them empty if they are not known.',
                ['sum' => $sum],
            );
        }
        if ($named && 1 === \count($shares)) {
            $shares = array_fill_keys(array_keys($shares), 100);
        }
        arsort($shares);

        return new self($shares, [] === $shares ? Knowledge::Unknown : $knowledge);
    }

    /** As FibreReader reads it: "95 cotton, 5 elastane". */
    public function typed(): string
    {
        return implode(
            ', ',
            array_map(
                static fn (string $fibre, int $share): string => (0 === $share ? '' : $share.' ').$fibre,
                array_keys($this->shares),
                $this->shares,
            ),
        );
    }

    /** Whether the shares are known, too. */
    public function sharesKnown(): bool
    {
        return [] !== $this->shares && max($this->shares) > 0;
    }

    public function isKnown(): bool
    {
        return [] !== $this->shares;
    }
}
