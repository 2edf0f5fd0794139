<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Document\Json\Node;
use Octavum\Input\Entry;
use Octavum\Store\Pattern\VersionRecord;

/** What is taken from an SVG file: the outlines shown, which of them are pieces, and at what scale. */
final readonly class PieceImport
{
    public function __construct(private PieceCodec $codec, private VersionPieces $pieces)
    {
    }

    /** @return list<array{string, Outline}> as the first step showed them */
    public function outlines(Entry $entry): array
    {
        $found = [];
        foreach ($entry->rows('found') as $i) {
            $shape =
                $this->codec->read(
                    Node::typed([['name' => '-', 'shapes' => [['outline' => json_decode($entry->raw('found.'.$i.'.outline'), true)]]]]),
                )[0]->shapes[0] ?? null;
            if (null !== $shape) {
                $found[] = [$entry->text('found.'.$i.'.name', 60), $shape->drawn];
            }
        }

        return $found;
    }

    /**
     * @param list<array{string, Outline}> $found
     *
     * @return list<Piece>
     */
    public function taken(Entry $entry, array $found, VersionRecord $version, System $system): array
    {
        $pieces = [];
        $names = [];
        $known = $this->largest($found);
        $length = $entry->length('known', $system->widthUnit());
        $scale = null === $length || null === $known ? 1.0 : $length->millimetres() / max(1, $known[1]);
        if ($scale < 0.05 || $scale > 20) {
            $entry->fault(
                'known',
                new Sentence('That would make everything {factor} times as large: check the length and its unit.', [
                    'factor' => (string) round($scale, 2),
                ]),
            );
        }
        $sizes = $entry->texts('sizes', 20);
        $this->pieces->checkSizes($sizes, $version, $entry, 'sizes');
        $allowance = \in_array($entry->raw('allowance'), ['', '0'], true)
            ? null
            : $entry->length('allowance', $system->widthUnit());
        foreach ($entry->rows('found') as $j => $i) {
            if (!$entry->boolean('found.'.$i.'.take') || !isset($found[$j])) {
                continue;
            }
            $piece = $this->piece($entry, 'found.'.$i.'.', $found[$j][1]->scaled($scale, $scale), $sizes, $allowance);
            $name = mb_strtolower($piece->name ?? '');
            if (null !== $piece && isset($names[$name])) {
                $entry->fault('found.'.$i.'.name', new Sentence(
                    'There is a piece “{name}” already: give this one another name, such as “{name} 2”.',
                    ['name' => $piece->name],
                ));
            }
            $names[$name] = true;
            $pieces[] = $piece;
        }
        $pieces = array_values(array_filter($pieces));
        $this->pieces->checkRoom($version, array_column($pieces, 'name'), $entry, 'found');
        if ([] === $pieces && $entry->isSound()) {
            $entry->fault('found', new Sentence('Nothing is ticked: tick the outlines that are pieces of this version.'));
        }

        return $pieces;
    }

    /**
     * @param string       $at    where its fields are
     * @param list<string> $sizes
     *
     * @return ?Piece null, with a fault, when it cannot lie on the fold
     */
    private function piece(Entry $entry, string $at, Outline $drawn, array $sizes, ?Length $allowance): ?Piece
    {
        $name = $entry->name($at.'name', 60);
        $onFold = $entry->boolean($at.'onFold');
        $quantity = $entry->integer($at.'quantity', 1, 60) ?? 1;
        $pair = $entry->boolean($at.'pair');
        if ($pair && 0 !== $quantity % 2) {
            $entry->fault($at.'quantity', new Sentence(
                'A left and a right make an even number: type 2, 4 …, or take the tick from “left and right”.',
            ));
        }
        $outline = PieceForm::placed($drawn, 'across' !== $entry->raw('grain'), $onFold);
        if (null === $outline) {
            $entry->fault($at.'onFold', new Sentence(
                '“{name}” has no straight edge along the grain that could lie on the fold.',
                ['name' => $name],
            ));

            return null;
        }
        $role = $entry->choice($at.'role', Role::class) ?? Role::Main;

        return new Piece(
            $name,
            $role,
            $quantity,
            pair: $pair,
            onFold: $onFold,
            grain: Grain::Along,
            instead: [],
            shapes: [new Shape($sizes, $outline, $allowance)],
        );
    }

    /**
     * The outline by which the scale is confirmed.
     *
     * @param list<array{string, Outline}> $found
     *
     * @return ?array{string, float} its name, and the longer side of its box
     */
    public function largest(array $found): ?array
    {
        $largest = null;
        foreach ($found as [$name, $outline]) {
            $side = max($outline->length(), $outline->width());
            $largest = null === $largest || $side > $largest[1] ? [$name, $side] : $largest;
        }

        return $largest;
    }
}
