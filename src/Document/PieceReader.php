<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Fold;
use Octavum\Core\Lay\Grain;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;

/** Reads pattern pieces and saved lays as octavum-workroom writes them. */
final readonly class PieceReader
{
    private const MOST_PIECES = 120;
    private const MOST_QUANTITY = 60;
    private const FARTHEST = 500_000;

    /** @return list<Piece> */
    public function pieces(Node $list): array
    {
        $names = [];
        $pieces = [];
        foreach ($list->items(self::MOST_PIECES) as $node) {
            $piece = $this->piece($node);
            if (isset($names['#'.$piece->name])) {
                $node->at('name')->fault('The piece “{name}” stands here more than once.', name: $piece->name);
            }
            $names['#'.$piece->name] = true;
            $pieces[] = $piece;
        }

        return $pieces;
    }

    private function piece(Node $node): Piece
    {
        $node->object(['name', 'role', 'quantity', 'pair', 'onFold', 'grain', 'instead', 'shapes']);
        $quantity = $node->at('quantity')->integer(1, self::MOST_QUANTITY) ?? 1;
        $pair = $node->at('pair')->boolean();
        $onFold = $node->at('onFold')->boolean();
        if ($pair && 0 !== $quantity % 2) {
            $node->at('quantity')->fault('A pair wants an even number, found {found}.', found: $node->at('quantity')->found());
        }
        $instead = array_values(array_filter(array_map(static fn (Node $one): ?Instead => $one->choice(Instead::class), $node->at('instead')->items(3))));

        return new Piece($node->at('name')->name(60), $node->at('role')->choice(Role::class) ?? Role::Main, $quantity, $pair, $onFold, $node->at('grain')->choice(Grain::class) ?? Grain::Along, $instead, $this->shapes($node->at('shapes'), $onFold));
    }

    /** @return list<Shape> */
    private function shapes(Node $list, bool $onFold): array
    {
        $shapes = [];
        foreach ($list->items(40) as $node) {
            $node->object(['sizes', 'allowance', 'outline', 'draft', 'measures']);
            $draft = $node->at('draft')->choice(Draft::class);
            $drafted = null === $draft ? null : $node->attempt(fn (): Drafted => Drafted::of($draft, $this->measures($node->at('measures'))));
            $outline = null === $draft ? $this->outline($node->at('outline')) : $drafted?->outline();
            if (null === $outline) {
                continue;
            }
            $shape = new Shape($node->at('sizes')->texts(20), $outline, $node->at('allowance')->length(), $drafted);
            try {
                if ($onFold && min($outline->top, -$outline->bottom) > 0.01) {
                    throw new \InvalidArgumentException('a piece on the fold lies on one side of y = 0');
                }
                $cut = $shape->cutOut($onFold);
                if ($onFold) {
                    $cut->unfolded();
                }
                $shapes[] = $shape;
            } catch (\InvalidArgumentException $error) {
                $node->fault('{what}.', what: ucfirst($error->getMessage()));
            }
        }

        return $shapes;
    }

    /** @return array<string, float> */
    private function measures(Node $node): array
    {
        $measures = [];
        foreach ($node->names() as $name) {
            $measures[$name] = (float) $node->at($name)->number();
        }

        return $measures;
    }

    /** @param bool $trusted stored by ourselves, and checked before */
    private function outline(Node $node, bool $trusted = false): ?Outline
    {
        $points = [];
        foreach ($node->items(2_000) as $point) {
            $xy = $point->items(2);
            if (2 !== \count($xy)) {
                $point->fault('A point is two numbers, [x, y].');

                return null;
            }
            $points[] = [$this->coordinate($xy[0]), $this->coordinate($xy[1])];
        }
        try {
            return $trusted ? Outline::convex($points) : Outline::of($points);
        } catch (\InvalidArgumentException $error) {
            $node->fault('{what}.', what: ucfirst($error->getMessage()));

            return null;
        }
    }

    private function coordinate(Node $node): float
    {
        $value = (float) $node->number();
        if (abs($value) > self::FARTHEST) {
            $node->fault('A number from {least} to {most} is expected here, found {found}.', least: -self::FARTHEST, most: self::FARTHEST, found: $node->found());

            return 0.0;
        }

        return $value;
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts    by '#' and id
     * @param bool                             $trusted stored by ourselves: ids may point to what has gone since
     */
    public function lay(Node $node, array $cuts, bool $trusted = false): SavedLay
    {
        $node->object(['id', 'name', 'fold', 'oneWay', 'gap', 'sheets', 'garments', 'pieces', 'sound', 'utilisation', 'allowance', 'match', 'off']);
        $sheets = $garments = [];
        foreach ($node->at('sheets')->items(20) as $sheet) {
            $sheet->object(['cut', 'width', 'length', 'used', 'mark']);
            $id = $sheet->at('cut')->optionalText(60);
            [$cloth, $cut] = $cuts['#'.$id] ?? [null, null];
            if (null !== $id && null === $cut && !$trusted) {
                $sheet->at('cut')->fault('There is no {kind} with the id “{id}” in this document.', kind: 'cut', id: $id);
            }
            $sheets[] = new LaidSheet($cloth, $cut, $sheet->at('width')->requiredLength(), $sheet->at('length')->length(), $sheet->at('used')->length() ?? Length::zero(), $sheet->at('mark')->text(40));
        }
        foreach ($node->at('garments')->items(30) as $garment) {
            $garment->object(['name', 'project', 'version', 'role', 'size', 'mark']);
            $garments[] = new LaidGarment($garment->at('name')->text(200), $garment->at('project')->optionalText(60), $garment->at('version')->optionalText(60), $garment->at('role')->choice(Role::class) ?? Role::Main, $garment->at('size')->text(20), $garment->at('mark')->text(40));
        }
        $pieces = [];
        foreach ($node->at('pieces')->items(3_000) as $piece) {
            $piece->object(['garment', 'piece', 'copy', 'sheet', 'turn', 'flipped', 'layers', 'x', 'y', 'locked', 'outline']);
            $outline = $this->outline($piece->at('outline'), $trusted);
            $at = $piece->at('garment')->requiredInteger(0, max(0, \count($garments) - 1));
            $on = $piece->at('sheet')->requiredInteger(0, max(0, \count($sheets) - 1));
            if (null !== $outline && isset($garments[$at], $sheets[$on])) {
                $pieces[] = new LaidPiece($at, $piece->at('piece')->name(60), $piece->at('copy')->requiredInteger(1, 1_000), $on, $piece->at('turn')->requiredInteger(0, 359), $piece->at('flipped')->boolean(), $piece->at('layers')->requiredInteger(1, 2), $this->coordinate($piece->at('x')), $this->coordinate($piece->at('y')), $outline, $piece->at('locked')->boolean());
            }
        }

        return new SavedLay($node->at('id')->name(60), $node->at('name')->name(), $node->at('fold')->choice(Fold::class) ?? Fold::Flat, $node->at('oneWay')->boolean(), $node->at('gap')->isThere() ? $this->coordinate($node->at('gap')) : 0, $sheets, $garments, $pieces, $node->at('sound')->boolean(), $node->at('utilisation')->isThere() ? (float) $node->at('utilisation')->number() : 0, $node->at('allowance')->length(), $node->at('match')->boolean(), $node->at('off')->texts(80));
    }
}
