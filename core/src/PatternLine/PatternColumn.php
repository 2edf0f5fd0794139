<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Reading\ByHeading;
use Octavum\Core\Reading\TableColumn;

/** What a column of a table of patterns may hold. */
enum PatternColumn: string implements TableColumn
{
    use ByHeading;

    case Title = 'title';
    case Maker = 'maker';
    case Number = 'number';
    case OtherNumbers = 'other numbers';
    case Garment = 'garment';
    case Format = 'format';
    case Sizes = 'sizes';
    case Paper = 'paper';
    case Ownership = 'ownership';
    case Notions = 'notions';
    case Hours = 'hours';
    case Place = 'place';
    case Notes = 'notes';

    private const WORDS = [
        'title' => ['title', 'name', 'pattern', 'pattern name', 'what'],
        'maker' => ['maker', 'brand', 'designer', 'company', 'publisher', 'by'],
        'number' => ['number', 'no', 'nr', 'pattern number', 'id', 'code'],
        'other numbers' => ['other numbers', 'other number', 'reissue', 'also', 'old number', 'alternative'],
        'garment' => ['garment', 'type', 'category', 'kind'],
        'format' => ['format', 'medium', 'file'],
        'sizes' => ['size', 'sizes', 'size range'],
        'paper' => ['state', 'paper', 'condition', 'cut', 'printed', 'state of paper'],
        'ownership' => ['owned', 'ownership', 'have it', 'status', 'is it here'],
        'notions' => ['notion', 'notions', 'haberdashery', 'needs', 'supplies'],
        'hours' => ['hours', 'time', 'hours to sew'],
        'place' => ['place', 'location', 'where', 'stored', 'storage', 'box', 'folder', 'kept'],
        'notes' => ['note', 'notes', 'comment', 'comments', 'remarks', 'fabric', 'date', 'shop'],
    ];
}
