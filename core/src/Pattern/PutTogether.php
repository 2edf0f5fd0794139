<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;

/** The pieces of a garment: those of its version in a size, without what its parts replace, and what the parts bring. */
final readonly class PutTogether
{
    /** @var array<string, array{Piece, ?Part}> by the name that tells them apart; the part a piece comes with */
    public array $pieces;

    /** @param list<Part> $parts */
    public function __construct(public Version $version, public string $size, public array $parts = [])
    {
        $replaced = array_merge(...array_map(static fn (Part $part): array => $part->instead, $parts));
        $pieces = [];
        foreach ($version->pieces->ofSize($size) as $piece) {
            if (!\in_array($piece->name, $replaced, true)) {
                $pieces[$piece->name] = [$piece, null];
            }
        }
        foreach ($parts as $part) {
            foreach ($part->version?->pieces->ofSize($part->size ?? $size) ?? [] as $piece) {
                $shape = $piece->in($part->size ?? $size);
                if (null === $shape || !\in_array($piece->name, $part->pieces, true)) {
                    continue;
                }
                $name = $piece->name;
                for ($i = 1; isset($pieces[$name]); ++$i) {
                    $name = $piece->name.' ('.($part->pattern->title ?? '').($i > 1 ? ' '.$i : '').')';
                }
                $its = new Shape([], $shape->drawn, $shape->allowance, $shape->drafted);
                $pieces[$name] = [$piece->renamed($name, $piece->role, [$its]), $part];
            }
        }
        $this->pieces = $pieces;
    }

    /**
     * What comes from one cloth.
     *
     * @param list<string> $only      these pieces; none for all of a role but those that come from elsewhere
     * @param list<string> $elsewhere by name
     *
     * @return array<string, array{Piece, ?Part}>
     */
    public function from(Role $role, array $only, array $elsewhere): array
    {
        return array_filter(
            $this->pieces,
            static fn (array $one, string $name): bool => [] === $only
                ? $one[0]->role === $role && !\in_array($name, $elsewhere, true)
                : \in_array($name, $only, true),
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * The version as if it had these pieces alone, all of one role.
     *
     * @param array<string, array{Piece, ?Part}> $pieces
     */
    public function version(array $pieces, Role $role): Version
    {
        $own = $this->version;
        $all = array_map(static fn (array $one): Piece => $one[0]->renamed($one[0]->name, $role, $one[0]->shapes), array_values($pieces));

        return new Version(
            $own->id,
            $own->name,
            $own->table,
            notions: $own->notions,
            minutes: $own->minutes,
            notes: $own->notes,
            pieces: PieceSet::of($all, [$this->size]),
            features: $own->features,
        );
    }
}
