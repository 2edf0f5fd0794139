<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Piece\Role;
use Octavum\Document\Json\Node;

/** The requirement table of an envelope. */
final readonly class TableCodec
{
    public function __construct(private CellsCodec $cells = new CellsCodec())
    {
    }

    /** @param list<string> $sizes the columns of its rows */
    public function read(array $sizes, Node $rows, ?System $units): RequirementTable
    {
        return new RequirementTable(
            $sizes,
            array_map(function (Node $row) use ($sizes): Requirement {
                $row->object(['role', 'width', 'nap', 'lengths', 'printed']);

                return new Requirement(
                    $row->at('role')->choice(Role::class) ?? Role::Main,
                    $row->at('width')->requiredLength(),
                    $row->at('nap')->choice(Nap::class) ?? Nap::Without,
                    $this->cells->read($row->at('lengths'), $sizes),
                    array_filter(
                        array_map(
                            static fn (Node $text): string => $text->text(40),
                            array_combine($sizes, array_map(static fn (string $size): Node => $row->at('printed')->at($size), $sizes)),
                        ),
                        static fn (string $text): bool => '' !== $text,
                    ),
                );
            }, $rows->items()),
            $units,
        );
    }

    /**
     * @return list<array{
     *     role: string, width: float|int, nap: string, lengths: list<float|int|null>, printed?: array<int|string, string>
     * }> its rows
     */
    public function write(RequirementTable $table): array
    {
        return array_map(
            fn (Requirement $row): array => [
                'role' => $row->role->value,
                'width' => $row->width->millimetres(),
                'nap' => $row->nap->value,
                'lengths' => $this->cells->write($row->cells, $table->sizes),
            ] + ([] === $row->ranges ? [] : ['printed' => $row->ranges]),
            $table->rows,
        );
    }
}
