<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

enum Garment: string
{
    case Top = 'top';
    case Tee = 'T-shirt';
    case Shirt = 'shirt';
    case Dress = 'dress';
    case Pinafore = 'pinafore';
    case Skirt = 'skirt';
    case Trousers = 'trousers';
    case Shorts = 'shorts';
    case Jumpsuit = 'jumpsuit';
    case Waistcoat = 'waistcoat';
    case Jacket = 'jacket';
    case Coat = 'coat';
    case Jumper = 'jumper';
    case Nightwear = 'nightwear';
    case Underwear = 'underwear';
    case Bra = 'bra';
    case Swimwear = 'swimwear';
    case Apron = 'apron';
    case Bag = 'bag';
    case Hat = 'hat';
    case Bib = 'bib';
    case Toy = 'toy';
    case Cushion = 'cushion';
    case Quilt = 'blanket or quilt';
    case Curtain = 'curtain';
    case Other = 'other';

    /** Main lengths that lie one after another in a lay, each costing one repeat when a print is matched. Source: docs/rules.md. */
    public function mainLengths(): int
    {
        return match ($this) {
            self::Dress, self::Pinafore, self::Jumpsuit, self::Jacket, self::Coat, self::Nightwear => 3,
            self::Underwear,
            self::Bra,
            self::Swimwear,
            self::Apron,
            self::Bag,
            self::Hat,
            self::Bib,
            self::Toy,
            self::Cushion,
            self::Quilt,
            self::Curtain,
            self::Other => 1,
            default => 2,
        };
    }

    /** Dresses and the like, which are fitted at the waist on their way down. */
    public function isInOne(): bool
    {
        return \in_array($this, [self::Dress, self::Pinafore, self::Jumpsuit], true);
    }

    /** Whether somebody puts it on: it has shoulders or a waist, and a hem. */
    public function isWorn(): bool
    {
        return !\in_array(
            $this,
            [self::Bag, self::Hat, self::Bib, self::Toy, self::Cushion, self::Quilt, self::Curtain, self::Other],
            true,
        );
    }

    /** Trousers, skirts and the like, which hang from the waist. */
    public function isFromTheWaist(): bool
    {
        return \in_array($this, [self::Skirt, self::Trousers, self::Shorts, self::Underwear], true);
    }
}
