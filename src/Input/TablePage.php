<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Reading\TableColumn;

/** What part/csv.html.twig shows of a table, from the file to the confirmed preview. */
final readonly class TablePage
{
    /**
     * @param string                                 $put     what the button says, with {count}
     * @param class-string<TableColumn>              $columns what a column can hold
     * @param list<string>                           $heads   of the preview
     * @param TableEntry<covariant TableColumn>      $brought
     * @param array<int, TableRow<covariant object>> $rows    by number in the file
     * @param array<string, Sentence>                $faults
     */
    public function __construct(
        public string $heading,
        public TablePlace $place,
        public string $put,
        public string $columns,
        public array $heads,
        public TableEntry $brought,
        public array $rows,
        public array $faults,
    ) {
    }

    public function new(): int
    {
        return \count(array_filter($this->rows, static fn (TableRow $row): bool => $row->isNew()));
    }

    public function doubtful(): int
    {
        return \count(array_filter($this->rows, static fn (TableRow $row): bool => $row->isNew() && [] !== $row->says));
    }
}
