<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Shape\Outline;
use Octavum\Document\Json\Faults;
use Octavum\Document\Json\Node;
use Octavum\Document\Json\Refused;

/** Reads an octavum-layout request, version 1 (docs/formats/octavum-layout.md). */
final readonly class LayoutReader
{
    private const LONGEST = 500_000;
    private const WIDEST = 10_000;
    private const MOST_CORNERS = 20_000;
    private const MOST_PIECES = 2_000;

    /** @throws Refused */
    public function read(string $json): LayRequest
    {
        $faults = new Faults();
        try {
            $value = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw Refused::because('The request is not a whole JSON document: '.$error->getMessage().'.');
        }
        $node = new Node($value, $faults);
        $node->object(['format', 'version', 'cuts', 'gap', 'oneWay', 'folds', 'pieces', 'seconds', 'seed']);
        if ('octavum-layout' !== $node->at('format')->scalar()) {
            $node->at('format')->fault('“octavum-layout” is expected here, found {found}.', found: $node->at('format')->found());
        }
        if (1 !== $node->at('version')->scalar()) {
            $node->at('version')->fault('1 is expected here, found {found}.', found: $node->at('version')->found());
        }
        $faults->refuse();
        $sheets = $this->sheets($node->at('cuts'));
        $names = array_map(static fn (Sheet $sheet): string => $sheet->id, $sheets);
        $pieces = $this->pieces($node->at('pieces'), $names);
        $folds = array_map(static fn (Node $fold): Fold => $fold->choice(Fold::class) ?? Fold::Flat, $node->at('folds')->items(5));
        $gap = $this->number($node->at('gap'), 0, 1000) ?? 0;
        $seconds = $this->number($node->at('seconds'), 0.01, 600) ?? 2;
        $oneWay = $node->at('oneWay')->boolean();
        $seed = $node->at('seed')->integer(\PHP_INT_MIN, \PHP_INT_MAX) ?? 1;
        if ([] === $sheets) {
            $node->at('cuts')->fault('At least one cut is expected here.');
        }
        if ([] === $pieces) {
            $node->at('pieces')->fault('At least one piece is expected here.');
        }
        $copies = array_sum(array_map(static fn (LayPiece $piece): int => $piece->quantity, $pieces));
        if ($copies > self::MOST_PIECES) {
            $node->at('pieces')->fault('These are {count} copies together; {most} can be laid.', count: $copies, most: self::MOST_PIECES);
        }
        $corners = array_sum(array_map(static fn (LayPiece $piece): int => \count($piece->outline->points), $pieces));
        if ($corners > self::MOST_CORNERS) {
            $node
                ->at('pieces')
                ->fault(
                    'The outlines have {count} corners together; {most} can be laid. Leave out those that lie on a straight line.',
                    count: $corners,
                    most: self::MOST_CORNERS,
                );
        }
        $faults->refuse();

        if ([] === $sheets || [] === $pieces) {
            throw new \LogicException('Refused above.');
        }
        $folds = [] === $folds ? [Fold::Flat] : array_values(array_unique($folds, \SORT_REGULAR));

        return new LayRequest($sheets, $pieces, $gap, oneWay: $oneWay, folds: $folds, seconds: $seconds, seed: $seed & 0x7FFFFFFF);
    }

    /** @return list<Sheet> */
    private function sheets(Node $list): array
    {
        $sheets = [];
        foreach ($list->items(50) as $node) {
            $node->object(['id', 'width', 'length', 'outline']);
            $id = $node->at('id')->name(60);
            if (isset($sheets['#'.$id])) {
                $node->at('id')->fault('The id “{id}” stands here more than once.', id: $id);
            }
            $width = $this->number($node->at('width'), 1, self::WIDEST);
            if (null === $width && !$node->at('width')->isThere()) {
                $node->at('width')->fault('The usable width in millimetres is missing here.');
            }
            $sheets['#'.$id] = new Sheet(
                $id,
                $width ?? 1,
                $this->number($node->at('length'), 1, self::LONGEST),
                $node->at('outline')->isThere() ? $this->outline($node->at('outline')) : null,
            );
        }

        return array_values($sheets);
    }

    /**
     * @param list<string> $cuts
     *
     * @return list<LayPiece>
     */
    private function pieces(Node $list, array $cuts): array
    {
        $pieces = [];
        foreach ($list->items(self::MOST_PIECES) as $node) {
            $node->object(['id', 'outline', 'quantity', 'pair', 'onFold', 'grain', 'cut', 'match', 'eased', 'edge']);
            $id = $node->at('id')->name(60);
            if (isset($pieces['#'.$id])) {
                $node->at('id')->fault('The id “{id}” stands here more than once.', id: $id);
            }
            $quantity = $node->at('quantity')->integer(1, self::MOST_PIECES) ?? 1;
            $pair = $node->at('pair')->boolean();
            if ($pair && 0 !== $quantity % 2) {
                $node->at('quantity')->fault('A pair wants an even number, found {found}.', found: $node->at('quantity')->found());
            }
            $cut = $node->at('cut')->optionalText(60);
            if (null !== $cut && !\in_array($cut, $cuts, true)) {
                $node->at('cut')->fault('There is no cut “{id}” in this request.', id: $cut);
            }
            $outline = $this->outline($node->at('outline'));
            $onFold = $node->at('onFold')->boolean();
            if ($onFold && null !== $outline) {
                $this->foldable($outline, $node->at('outline'));
            }
            $pieces['#'.$id] = new LayPiece(
                $id,
                $outline ?? Outline::rectangle(1, 1),
                $quantity,
                pair: $pair,
                onFold: $onFold,
                grain: $node->at('grain')->choice(Grain::class) ?? Grain::Along,
                cut: $cut,
                match: $node->at('match')->isThere() ? $this->match($node->at('match')) : null,
                eased: $node->at('eased')->boolean(),
                edge: $this->number($node->at('edge'), 0, self::LONGEST),
            );
        }

        return array_values($pieces);
    }

    private function foldable(Outline $outline, Node $node): void
    {
        try {
            if (min($outline->top, -$outline->bottom) > 0.01) {
                throw new \InvalidArgumentException('a piece on the fold lies on one side of y = 0');
            }
            $outline->unfolded();
        } catch (\InvalidArgumentException $error) {
            $node->fault('{what}.', what: ucfirst($error->getMessage()));
        }
    }

    private function outline(Node $node): ?Outline
    {
        $points = array_map($this->point(...), $node->items(2_000));
        if (\in_array(null, $points, true)) {
            return null;
        }
        try {
            return Outline::of($points);
        } catch (\InvalidArgumentException $error) {
            $node->fault('{what}.', what: ucfirst($error->getMessage()));

            return null;
        }
    }

    private function match(Node $node): Repeat
    {
        $node->object(['length', 'width', 'x', 'y', 'at', 'alike']);
        $at = $node->at('at')->isThere() ? $this->point($node->at('at')) : null;

        return new Repeat(
            $this->number($node->at('length'), 0, self::LONGEST) ?? 0,
            $this->number($node->at('width'), 0, self::LONGEST) ?? 0,
            $this->number($node->at('x'), -self::LONGEST, self::LONGEST) ?? 0,
            y: $this->number($node->at('y'), -self::LONGEST, self::LONGEST) ?? 0,
            at: $at,
            alike: $node->at('alike')->boolean(),
        );
    }

    /** @return ?array{float, float} */
    private function point(Node $node): ?array
    {
        $xy = $node->items(2);
        if (2 !== \count($xy)) {
            $node->fault('A point is two numbers, [x, y].');

            return null;
        }

        return [
            $this->number($xy[0], -self::LONGEST, self::LONGEST) ?? 0.0,
            $this->number($xy[1], -self::LONGEST, self::LONGEST) ?? 0.0,
        ];
    }

    private function number(Node $node, float $least, float $most): ?float
    {
        return $node->isThere() ? $node->numberWithin($least, $most) : null;
    }
}
