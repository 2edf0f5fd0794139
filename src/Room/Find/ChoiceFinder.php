<?php

declare(strict_types=1);

namespace Octavum\Room\Find;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Find\Forgiving;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Plan\PlanChecker;

/** Finds what a field can be filled with: the best matches first, slips forgiven. */
final readonly class ChoiceFinder
{
    /** As many as one looks through at a glance. */
    private const MOST = 10;

    public function __construct(
        private Stash $stash,
        private Library $library,
        private PlanChecker $checker,
        private AccountSettings $settings,
    ) {
    }

    /**
     * @param bool $measured only those whose length and width are known
     *
     * @return list<Choice> cuts that are here; nothing typed: those with the most free
     */
    public function cuts(Account $account, string $typed, bool $measured): array
    {
        $assumptions = $this->settings->load($account)->assumptions;
        $promised = $this->checker->promised($account);
        $choices = [];
        foreach ($this->stash->named($account) as $name => [$cloth, $cut]) {
            if (!$cut->gone && (!$measured || (null !== $cut->length && null !== $cut->widthOf($cloth)))) {
                $promises = $promised[$cut->id] ?? [];
                $words = [$name, $cloth->material->type->value ?? '', $cloth->material->fibres->typed(), $cloth->look->print->value];
                $choices[] = new Choice(
                    $name,
                    implode(' ', [...$words, $cloth->keeping->place, $cloth->keeping->set]),
                    cloth: $cloth,
                    cut: $cut,
                    free: Reservation::free(ToCut::of($cloth, $cut, $assumptions)->length, $promises),
                    promises: $promises,
                );
            }
        }
        usort($choices, static fn (Choice $a, Choice $b): int => $b->free?->micrometres <=> $a->free?->micrometres);

        return $this->best($choices, $typed);
    }

    /** @return list<Choice> versions of patterns; nothing typed: by title */
    public function versions(Account $account, string $typed): array
    {
        $choices = [];
        foreach ($this->library->versions($account) as $name => $version) {
            $choices[] = new Choice($name, $name.' '.$version->garment->value.' '.$version->maker, version: $version);
        }
        usort($choices, static fn (Choice $a, Choice $b): int => strnatcasecmp($a->title(), $b->title()));

        return $this->best($choices, $typed);
    }

    /**
     * @param list<Choice> $choices
     *
     * @return list<Choice>
     */
    private function best(array $choices, string $typed): array
    {
        if ('' === trim($typed)) {
            return \array_slice($choices, 0, self::MOST);
        }
        $byName = array_column($choices, null, 'name');

        return array_map(
            static fn (string $name): Choice => $byName[$name],
            (new Forgiving())->find($typed, array_column($choices, 'words', 'name'), self::MOST),
        );
    }
}
