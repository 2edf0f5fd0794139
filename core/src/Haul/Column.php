<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Reading\ByHeading;
use Octavum\Core\Reading\TableColumn;

/** What a column of a table of cloths may hold. */
enum Column: string implements TableColumn
{
    use ByHeading;

    case Name = 'name';
    case Length = 'length';
    case Width = 'width';
    case Fibres = 'fibres';
    case Type = 'type';
    case Weight = 'weight';
    case Colour = 'colour';
    case Print = 'print';
    case Direction = 'direction';
    case Care = 'care';
    case Price = 'price';
    case Place = 'place';
    case Cuts = 'cuts';
    case State = 'state';
    case Notes = 'notes';

    private const WORDS = [
        'name' => ['name', 'fabric', 'cloth', 'title', 'item', 'description', 'what', 'material name', 'stoff'],
        'length' => ['length', 'meterage', 'metres', 'meters', 'yardage', 'yards', 'amount', 'quantity', 'qty', 'long', 'metrage', 'länge'],
        'width' => ['width', 'wide', 'breadth', 'breite'],
        'fibres' => ['fibre', 'fiber', 'fibres', 'fibers', 'composition', 'content', 'made of', 'material'],
        'type' => ['type', 'kind', 'weave', 'structure', 'category'],
        'weight' => ['weight', 'gsm', 'g/m2', 'g/m²', 'grams'],
        'colour' => ['colour', 'color', 'colours', 'colors', 'shade', 'farbe'],
        'print' => ['print', 'pattern', 'design', 'motif'],
        'direction' => ['direction', 'nap', 'one-way', 'one way', 'directional'],
        'care' => ['care', 'washing', 'laundry', 'label'],
        'price' => ['price', 'cost', 'paid', 'per metre', 'price/m', 'preis'],
        'place' => ['place', 'location', 'where', 'stored', 'storage', 'box', 'shelf', 'locker', 'kept'],
        'cuts' => ['cuts', 'pieces', 'count', 'number of pieces'],
        'state' => ['state', 'washed', 'status', 'prewashed'],
        'notes' => ['note', 'notes', 'comment', 'comments', 'remarks', 'shop', 'bought', 'date', 'source'],
    ];
}
