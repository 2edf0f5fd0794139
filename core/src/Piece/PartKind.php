<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

/** What a garment may take from another pattern. */
enum PartKind: string
{
    case Sleeves = 'sleeves';
    case Collar = 'collar';
    case Cuffs = 'cuffs';
    case Pockets = 'pockets';
    case Bodice = 'bodice';
    case Skirt = 'skirt';
    case Waistband = 'waistband';
    case Hood = 'hood';
    case Facings = 'facings';
    case Other = 'other pieces';

    /** Whether a piece is one of these by its name, as patterns name them. */
    public function isNamed(string $piece): bool
    {
        $words = match ($this) {
            self::Sleeves => 'sleeves?',
            self::Collar => '(under|upper ?)?collars?|(collar )?stand|lapel',
            self::Cuffs => 'cuffs?',
            self::Pockets => 'pockets?|welts?|flaps?',
            self::Bodice => 'bodice|front|back|side (front|back)|yoke',
            self::Skirt => 'skirt|flounce|tier',
            self::Waistband => 'waistband',
            self::Hood => 'hood',
            self::Facings => 'facings?',
            self::Other => '(?!)',
        };
        $others = match ($this) {
            self::Bodice => array_values(array_filter(self::cases(), static fn (self $one): bool => self::Bodice !== $one)),
            self::Sleeves, self::Collar, self::Skirt => [self::Pockets, self::Facings],
            default => [],
        };
        foreach ($others as $other) {
            if ($other->isNamed($piece)) {
                return false;
            }
        }

        return 1 === preg_match('/\b('.$words.')\b/iu', $piece);
    }

    /** Minutes that it brings where a garment has none of its own; null where nobody says. Source: docs/rules.md. */
    public function minutes(): ?int
    {
        return match ($this) {
            self::Sleeves => 120,
            self::Collar => 90,
            self::Pockets => 45,
            default => null,
        };
    }

    /** Where it is sewn to the rest, to be compared before cutting; null where nothing has to meet. */
    public function seam(): ?Seam
    {
        return match ($this) {
            self::Sleeves => Seam::Armhole,
            self::Collar, self::Hood, self::Facings => Seam::Neckline,
            self::Skirt, self::Bodice, self::Waistband => Seam::Waist,
            self::Cuffs => Seam::SleeveHem,
            self::Pockets, self::Other => null,
        };
    }
}
