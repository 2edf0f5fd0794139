<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Drafted;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;
use Octavum\Document\Codec\OutlineCodec;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Document\Json\Faults;
use Octavum\Document\Json\Node;
use Octavum\Input\Entry;

/** The form of a piece: its fields, and a column of measurements for each range of sizes. */
final readonly class PieceForm
{
    private const MOST_QUANTITY = 60;

    public function __construct(private PieceCodec $pieces, private OutlineCodec $outlines)
    {
    }

    /** A piece to begin with. */
    public function blank(Draft $draft, string $name = ''): Piece
    {
        return new Piece(
            $name,
            Role::Main,
            $draft->pair() ? 2 : 1,
            pair: $draft->pair(),
            onFold: $draft->onFold(),
            grain: \in_array($draft, [Draft::Cuff, Draft::Waistband, Draft::Strip], true) ? Grain::Either : Grain::Along,
            instead: [],
            shapes: [Shape::drafted(Drafted::of($draft, []), [], Length::ofMillimetres(15))],
        );
    }

    /**
     * The fields to begin with: a drafted shape in its usual proportions, to be changed where the paper differs; a box, which is
     * nothing but its two measurements, without them.
     *
     * @return array<string, mixed> by field, as typed
     */
    public function usual(Draft $draft, System $system): array
    {
        return $this->values($this->blank($draft), $system, Draft::Box !== $draft);
    }

    /**
     * @param bool $measured without, the measurements are empty
     *
     * @return array<string, mixed> by field, as typed
     */
    public function values(Piece $piece, System $system, bool $measured = true): array
    {
        $tape = new LengthFormatter($system);
        $write = static fn (float $millimetres): string => $tape->typed(Length::ofMillimetres(round($millimetres, 3)), small: true);

        return [
            'pieceName' => $piece->name,
            'role' => $piece->role->value,
            'quantity' => (string) $piece->quantity,
            'pair' => $piece->pair ? '1' : '',
            'onFold' => $piece->onFold ? '1' : '',
            'grain' => $piece->grain->value,
            'instead' => array_fill_keys(array_map(static fn (Instead $instead): string => $instead->name, $piece->instead), '1'),
            'draft' => $piece->shapes[0]->drafted->draft->value ?? '',
            'shapes' => array_map(
                fn (Shape $shape): array => [
                    'sizes' => implode(', ', $shape->sizes),
                    'allowance' => null === $shape->allowance ? '' : $write((float) $shape->allowance->millimetres()),
                    'outline' => null === $shape->drafted ? json_encode($this->outlines->write($shape->drawn), \JSON_THROW_ON_ERROR) : '',
                    'm' => null === $shape->drafted
                            ? []
                            : array_combine(
                                array_keys($shape->drafted->measures),
                                array_map(
                                    static function (string $name, float $value) use ($shape, $write, $measured): string {
                                        if (!$measured) {
                                            return '';
                                        }
                                        foreach ($shape->drafted->draft->measures() as $measure) {
                                            if ($measure->name === $name && 'mm' !== $measure->unit) {
                                                return (string) $value;
                                            }
                                        }

                                        return 0.0 === $value ? '0' : $write($value);
                                    },
                                    array_keys($shape->drafted->measures),
                                    $shape->drafted->measures,
                                ),
                            ),
                ],
                $piece->shapes,
            ),
        ];
    }

    /**
     * @param list<string> $sizes of the version
     * @param list<string> $names of its other pieces
     */
    public function read(Entry $entry, array $sizes, array $names, System $system): Piece
    {
        $name = $entry->name('pieceName', 60);
        if (\in_array(mb_strtolower($name), array_map(mb_strtolower(...), $names), true)) {
            $entry->fault(
                'pieceName',
                new Sentence('There is a piece “{name}” already: give this one another name, such as “{name} 2”.', ['name' => $name]),
            );
        }
        $quantity = $entry->integer('quantity', 1, self::MOST_QUANTITY) ?? 1;
        $pair = $entry->boolean('pair');
        if ($pair && 0 !== $quantity % 2) {
            $entry->fault(
                'quantity',
                new Sentence('A left and a right make an even number: type 2, 4 …, or take the tick from “left and right”.'),
            );
        }
        $onFold = $entry->boolean('onFold');
        $instead = array_values(array_filter(Instead::cases(), static fn (Instead $one): bool => $entry->boolean('instead.'.$one->name)));
        $draft = $entry->choice('draft', Draft::class);
        $shapes = [];
        $seen = [];
        foreach ($entry->rows('shapes') as $i) {
            $shape = $this->shape($entry, 'shapes.'.$i, $draft, $onFold, $system);
            if (null === $shape) {
                continue;
            }
            foreach ($shape->sizes as $size) {
                if ([] !== $sizes && !\in_array($size, $sizes, true)) {
                    $entry->fault(
                        'shapes.'.$i.'.sizes',
                        new Sentence('Size {size} is not in the table of this version: it has {sizes}.', [
                            'size' => $size,
                            'sizes' => implode(', ', $sizes),
                        ]),
                    );
                }
            }
            foreach ([] === $shape->sizes ? ['all sizes'] : $shape->sizes as $size) {
                if (isset($seen[$size]) || isset($seen['all sizes'])) {
                    $entry->fault(
                        'shapes.'.$i.'.sizes',
                        new Sentence('Size {size} has a column already: each size may stand in one.', ['size' => $size]),
                    );
                }
                $seen[$size] = true;
            }
            $shapes[] = $shape;
        }
        if ([] === $shapes && $entry->isSound()) {
            $entry->fault('draft', new Sentence('A piece needs its measurements: fill in one column.'));
        }

        return new Piece(
            $name,
            $entry->choice('role', Role::class) ?? Role::Main,
            $quantity,
            pair: $pair,
            onFold: $onFold,
            grain: $entry->choice('grain', Grain::class) ?? Grain::Along,
            instead: $instead,
            shapes: $shapes,
        );
    }

    private function shape(Entry $entry, string $at, ?Draft $draft, bool $onFold, System $system): ?Shape
    {
        $sizes = $entry->texts($at.'.sizes', 20);
        $allowance = \in_array($entry->raw($at.'.allowance'), ['0', ''], true)
            ? null
            : $entry->length($at.'.allowance', $system->widthUnit());
        if (null !== $allowance && Length::ofMillimetres(100)->isLessThan($allowance)) {
            $entry->fault(
                $at.'.allowance',
                new Sentence('An allowance of more than 10 cm cannot be: type such as 1.5 cm, or leave it empty when it is included.'),
            );
            $allowance = null;
        }
        if (null === $draft) {
            $faults = new Faults();
            $shape =
                $this->pieces->read(
                    new Node(
                        [
                            [
                                'name' => '-',
                                'onFold' => $onFold,
                                'shapes' => [['outline' => json_decode($entry->raw($at.'.outline'), true)]],
                            ],
                        ],
                        $faults,
                    ),
                )[0]->shapes[0] ?? null;
            if (null === $shape) {
                $entry->fault(
                    $at.'.sizes',
                    new Sentence('This outline cannot be used so: {why}', [
                        'why' => $faults->all()[0]->sentence ?? new Sentence('it is not an outline.'),
                    ]),
                );

                return null;
            }

            return new Shape($sizes, $shape->drawn, $allowance);
        }
        $measures = [];
        foreach ($draft->measures() as $measure) {
            $field = $at.'.m.'.$measure->name;
            if ('mm' !== $measure->unit) {
                $measures[$measure->name] =
                    (float) ($entry->integer($field, (int) $measure->least, (int) $measure->most) ?? $measure->usual);
            } elseif ('0' === $entry->raw($field)) {
                $measures[$measure->name] = 0.0;
            } else {
                $length = $entry->length($field, $system->widthUnit());
                if (null === $length && '' === $entry->raw($field)) {
                    $entry->fault(
                        $field,
                        new Sentence('{measure} is missing: measure it on the paper.', ['measure' => ucfirst($measure->name)]),
                    );
                }
                $measures[$measure->name] = (float) ($length?->millimetres() ?? $measure->usual);
            }
        }
        $drafted = $entry->attempt($at.'.sizes', static fn (): Drafted => Drafted::of($draft, $measures));

        return null === $drafted ? null : Shape::drafted($drafted, $sizes, $allowance);
    }

    /** Turned so that its grain runs along the cloth, and laid to its fold; rounded to what is kept. */
    public static function placed(Outline $outline, bool $grainDown, bool $onFold): ?Outline
    {
        $outline = $grainDown ? $outline->turned(270) : $outline;
        $outline = $outline->atOrigin();
        if ($onFold) {
            $edge = null;
            $longest = 20.0;
            foreach ($outline->points as $i => $a) {
                $b = $outline->points[($i + 1) % \count($outline->points)];
                $atEdge = max(abs($a[1]), abs($b[1])) < 1 || max(abs($a[1] - $outline->top), abs($b[1] - $outline->top)) < 1;
                if ($atEdge && abs($a[0] - $b[0]) > $longest) {
                    [$edge, $longest] = [$a[1] > $outline->top / 2, abs($a[0] - $b[0])];
                }
            }
            if (null === $edge) {
                return null;
            }
            $outline = $edge ? $outline->flipped()->atOrigin() : $outline;
        }

        return Outline::convex(
            array_map(static fn (array $p): array => [round($p[0], 2), $onFold && $p[1] < 1 ? 0.0 : round($p[1], 2)], $outline->points),
        );
    }
}
