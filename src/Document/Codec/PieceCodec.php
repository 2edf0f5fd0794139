<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Pattern pieces with their shapes. */
final readonly class PieceCodec
{
    /** Of one version. */
    public const MOST_PIECES = 300;
    private const MOST_QUANTITY = 60;

    public function __construct(private OutlineCodec $outlines = new OutlineCodec())
    {
    }

    /** @return list<Piece> */
    public function read(Node $list): array
    {
        return $this->pieces($list, isTried: true);
    }

    /**
     * Of what was read and found sound before it was stored: whether an allowance goes around each shape is not tried again.
     *
     * @return list<Piece>
     */
    public function readStored(Node $list): array
    {
        return $this->pieces($list, isTried: false);
    }

    /** @return list<Piece> */
    private function pieces(Node $list, bool $isTried): array
    {
        $names = [];
        $pieces = [];
        foreach ($list->items(self::MOST_PIECES) as $node) {
            $piece = $this->piece($node, $isTried);
            if (isset($names['#'.$piece->name])) {
                $node->at('name')->fault('The piece “{name}” stands here more than once.', name: $piece->name);
            }
            $names['#'.$piece->name] = true;
            $pieces[] = $piece;
        }

        return $pieces;
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<array<string, mixed>>
     */
    public function write(array $pieces): array
    {
        return array_map(
            fn (Piece $piece): array => Fields::known([
                'name' => $piece->name,
                'role' => $piece->role->value,
                'quantity' => $piece->quantity,
                'pair' => $piece->pair,
                'onFold' => $piece->onFold,
                'grain' => $piece->grain->value,
                'instead' => array_map(static fn (Instead $instead): string => $instead->value, $piece->instead),
                'shapes' => array_map($this->writeShape(...), $piece->shapes),
            ]),
            $pieces,
        );
    }

    private function piece(Node $node, bool $isTried): Piece
    {
        $node->object(['name', 'role', 'quantity', 'pair', 'onFold', 'grain', 'instead', 'shapes']);
        $quantity = $node->at('quantity')->integer(1, self::MOST_QUANTITY) ?? 1;
        $pair = $node->at('pair')->boolean();
        $onFold = $node->at('onFold')->boolean();
        if ($pair && 0 !== $quantity % 2) {
            $node->at('quantity')->fault('A pair wants an even number, found {found}.', found: $node->at('quantity')->found());
        }
        $instead = $node->at('instead')->choices(Instead::class, 3);

        return new Piece(
            $node->at('name')->name(60),
            $node->at('role')->choice(Role::class) ?? Role::Main,
            $quantity,
            pair: $pair,
            onFold: $onFold,
            grain: $node->at('grain')->choice(Grain::class) ?? Grain::Along,
            instead: $instead,
            shapes: $this->shapes($node->at('shapes'), $onFold, $isTried),
        );
    }

    /** @return list<Shape> */
    private function shapes(Node $list, bool $onFold, bool $isTried): array
    {
        $shapes = [];
        foreach ($list->items(40) as $node) {
            $node->object(['sizes', 'allowance', 'outline', 'draft', 'measures']);
            $draft = $node->at('draft')->choice(Draft::class);
            $drafted =
                null === $draft ? null : $node->attempt(fn (): Drafted => Drafted::of($draft, $this->measures($node->at('measures'))));
            $outline = null === $draft ? $this->outlines->read($node->at('outline')) : $drafted?->outline;
            if (null === $outline) {
                continue;
            }
            $shape = new Shape($node->at('sizes')->texts(20), $outline, $node->at('allowance')->length(), $drafted);
            try {
                if ($onFold && min($outline->top, -$outline->bottom) > 0.01) {
                    throw new \InvalidArgumentException('a piece on the fold lies on one side of y = 0');
                }
                $cut = $isTried ? $shape->cutOut($onFold) : null;
                if ($onFold) {
                    $cut?->unfolded();
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

    /** @return array<string, mixed> */
    private function writeShape(Shape $shape): array
    {
        return Fields::known([
            'sizes' => $shape->sizes,
            'allowance' => $shape->allowance?->millimetres(),
            'draft' => $shape->drafted?->draft->value,
            'measures' => $shape->drafted?->measures,
            'outline' => null === $shape->drafted ? $this->outlines->write($shape->drawn) : null,
        ]);
    }
}
