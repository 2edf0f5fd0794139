<?php

declare(strict_types=1);

namespace Octavum\Store\Cloth;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Events;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Input\Names;

/** An account's cloths as the core knows them, for every room that needs them. */
#[AsDoctrineListener(Events::onFlush)]
final class Stash
{
    /** @var array<string, list<Cloth>> by account, until something is saved */
    private array $all = [];

    public function __construct(
        private readonly ClothRepository $cloths,
        private readonly ClothMapper $mapper,
        private readonly AccountSettings $settings,
    ) {
    }

    public function onFlush(): void
    {
        $this->all = [];
    }

    /** @return list<Cloth> */
    public function all(Account $account): array
    {
        $assumptions = $this->settings->load($account)->assumptions;

        return $this->all[$account->id] ??= array_map(
            fn (ClothRecord $record): Cloth => $this->mapper->cloth($record, $assumptions),
            $this->cloths->glance($account),
        );
    }

    /**
     * Every cut under a name by which it can be typed or chosen; no two have the same, and those gone say so.
     *
     * @return array<string, array{Cloth, Cut}> name → cloth and cut
     */
    public function named(Account $account): array
    {
        $tape = $this->settings->tape();
        $assumptions = $this->settings->load($account)->assumptions;
        $named = [];
        foreach ($this->all($account) as $cloth) {
            foreach ($cloth->cuts as $cut) {
                $length = ToCut::of($cloth, $cut, $assumptions)->length;
                $width = $cut->widthOf($cloth);
                $name = implode(
                    ', ',
                    array_filter(
                        [
                            $cloth->name,
                            $cut->label,
                            null === $length ? '' : $tape->write(Figure::owned($length)),
                            null === $width ? '' : $tape->write(Figure::width($width->full)),
                            $cut->gone ? 'no longer here' : '',
                        ],
                        static fn (string $part): bool => '' !== $part,
                    ),
                );
                $named[Names::free($name, $named)] = [$cloth, $cut];
            }
        }

        return $named;
    }

    /** @return ?array{Cloth, Cut} one of the account's own */
    public function cut(Account $account, string $id): ?array
    {
        $record = '' === $id ? null : $this->record($account, $id);
        if (null === $record) {
            return null;
        }
        $cloth = $this->mapper->cloth($record->cloth, $this->settings->load($account)->assumptions);
        foreach ($cloth->cuts as $cut) {
            if ($cut->id === $id) {
                return [$cloth, $cut];
            }
        }

        return null;
    }

    public function record(Account $account, string $cut): ?CutRecord
    {
        return $this->cloths->cutOf($account, $cut);
    }

    /** The longest length to cut from, null when none is known. */
    public static function longest(Cloth $cloth, Assumptions $assumptions): ?Length
    {
        $longest = null;
        foreach ($cloth->cuts as $cut) {
            $length = $cut->gone ? null : ToCut::of($cloth, $cut, $assumptions)->length;
            $longest = null === $length ? $longest : $longest?->larger($length) ?? $length;
        }

        return $longest;
    }
}
