<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Reading\ByHeading;
use Octavum\Core\Reading\TableColumn;

/** What a column of a table of notions may hold. */
enum NotionColumn: string implements TableColumn
{
    use ByHeading;

    case Kind = 'kind';
    case Measure = 'measure';
    case Amount = 'amount';
    case Name = 'name';
    case Place = 'place';
    case Notes = 'notes';

    private const WORDS = [
        'kind' => ['kind', 'type', 'notion', 'item', 'category', 'what'],
        'measure' => ['measure', 'size', 'width', 'diameter', 'mm'],
        'amount' => ['amount', 'quantity', 'qty', 'count', 'how many', 'how much', 'length', 'number', 'pieces'],
        'name' => ['name', 'description', 'colour', 'color', 'like', 'variety', 'material'],
        'place' => ['place', 'location', 'where', 'stored', 'storage', 'box', 'tin', 'drawer', 'kept'],
        'notes' => ['note', 'notes', 'comment', 'comments', 'remarks', 'shop', 'price', 'date'],
    ];
}
