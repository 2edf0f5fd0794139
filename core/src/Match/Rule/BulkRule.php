<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;

/** Heavy cloth bulks at an elastic waist and in gathers; bulky knit as an open front stands off. */
final readonly class BulkRule implements Rule
{
    private const THIN_SEAMS = [Garment::Trousers, Garment::Shorts, Garment::Shirt, Garment::Top, Garment::Jumpsuit, Garment::Nightwear];

    public function sees(Traits $cloth): array
    {
        return [$cloth->isHeavy(), $cloth->bulky, $cloth->isKnit(), $cloth->isCoatCloth()];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return match (true) {
            $cloth->isHeavy() && null !== $asks->has(Feature::ElasticWaist, Feature::ElasticBack) => Reason::doubt(
                2,
                'Heavy cloth bulks at an elastic waist: a flat front, or a facing of something thinner.',
            ),
            $cloth->isCoatCloth() && \in_array($asks->garment, self::THIN_SEAMS, true) => Reason::doubt(
                2,
                'A cloth for coats: too thick for the seams and folds of this.',
            ),
            $cloth->isHeavy() && null !== $asks->uses(Technique::Gathers) => Reason::doubt(
                2,
                'Heavy cloth does not gather: pleat it, or take some fullness out.',
            ),
            $cloth->bulky && $cloth->isKnit() && null !== $asks->has(Feature::OpenFront) => Reason::doubt(
                2,
                'A bulky knit as an open front stands off instead of falling.',
            ),
            $cloth->bulky && null !== $asks->uses(Technique::CollarStand, Technique::WeltPocket) => Reason::doubt(
                1,
                'Thick cloth: grade the seams of the small pieces, or cut their insides from lining.',
            ),
            default => null,
        };
    }
}
