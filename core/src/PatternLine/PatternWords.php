<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Reading\Words;

/** Words that people write of patterns, and what each means. */
final readonly class PatternWords
{
    public const GARMENTS = [
        'wrap dress' => Garment::Dress,
        'sundress' => Garment::Dress,
        'dress' => Garment::Dress,
        'slip' => Garment::Dress,
        'pinafore' => Garment::Pinafore,
        'pinny' => Garment::Pinafore,
        'skirt' => Garment::Skirt,
        'culottes' => Garment::Trousers,
        'trousers' => Garment::Trousers,
        'pants' => Garment::Trousers,
        'jeans' => Garment::Trousers,
        'leggings' => Garment::Trousers,
        'joggers' => Garment::Trousers,
        'shorts' => Garment::Shorts,
        'jumpsuit' => Garment::Jumpsuit,
        'romper' => Garment::Jumpsuit,
        'dungarees' => Garment::Jumpsuit,
        'overalls' => Garment::Jumpsuit,
        'overshirt' => Garment::Shirt,
        't-shirt' => Garment::Tee,
        'tshirt' => Garment::Tee,
        'tee' => Garment::Tee,
        'shirt' => Garment::Shirt,
        'blouse' => Garment::Top,
        'tunic' => Garment::Top,
        'camisole' => Garment::Top,
        'cami' => Garment::Top,
        'tank' => Garment::Top,
        'top' => Garment::Top,
        'waistcoat' => Garment::Waistcoat,
        'gilet' => Garment::Waistcoat,
        'blazer' => Garment::Jacket,
        'jacket' => Garment::Jacket,
        'raincoat' => Garment::Coat,
        'coat' => Garment::Coat,
        'cape' => Garment::Coat,
        'cardigan' => Garment::Jumper,
        'sweatshirt' => Garment::Jumper,
        'hoodie' => Garment::Jumper,
        'jumper' => Garment::Jumper,
        'sweater' => Garment::Jumper,
        'pyjamas' => Garment::Nightwear,
        'pajamas' => Garment::Nightwear,
        'nightdress' => Garment::Nightwear,
        'nightshirt' => Garment::Nightwear,
        'dressing gown' => Garment::Nightwear,
        'knickers' => Garment::Underwear,
        'bra' => Garment::Underwear,
        'drawers' => Garment::Underwear,
        'pants and bra' => Garment::Underwear,
        'apron' => Garment::Apron,
        'rucksack' => Garment::Bag,
        'tote' => Garment::Bag,
        'bag' => Garment::Bag,
        'sunhat' => Garment::Hat,
        'beret' => Garment::Hat,
        'hat' => Garment::Hat,
        'cap' => Garment::Hat,
    ];
    public const FORMATS = [
        'pdf' => PatternFormat::Pdf,
        'download' => PatternFormat::Pdf,
        'tissue' => PatternFormat::Tissue,
        'envelope' => PatternFormat::Tissue,
        'paper' => PatternFormat::Tissue,
        'magazine' => PatternFormat::Magazine,
        'book' => PatternFormat::Book,
        'self-drafted' => PatternFormat::Drafted,
        'self drafted' => PatternFormat::Drafted,
        'own draft' => PatternFormat::Drafted,
        'tutorial' => PatternFormat::Tutorial,
    ];
    public const PAPER = [
        'not printed' => PaperState::NotPrinted,
        'unprinted' => PaperState::NotPrinted,
        'to print' => PaperState::NotPrinted,
        'printed' => PaperState::Printed,
        'taped' => PaperState::Taped,
        'uncut' => PaperState::Uncut,
        'factory folded' => PaperState::Uncut,
        'traced' => PaperState::Traced,
        'cut to size' => PaperState::CutToSize,
        'cut' => PaperState::CutToSize,
        'projector' => PaperState::Projector,
    ];
    public const OWNERSHIP = [
        'wished for' => Ownership::Wished,
        'wish list' => Ownership::Wished,
        'wishlist' => Ownership::Wished,
        'to buy' => Ownership::Wished,
        'borrowed' => Ownership::Borrowed,
        'on loan' => Ownership::Borrowed,
    ];
}
