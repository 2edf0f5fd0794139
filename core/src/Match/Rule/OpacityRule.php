<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Piece\Garment;

/** A sheer cloth wants lining or a layer beneath. */
final readonly class OpacityRule implements Rule
{
    private const NOT_WORN = [Garment::Bag, Garment::Toy, Garment::Cushion, Garment::Quilt, Garment::Curtain, Garment::Bib, Garment::Apron];
    private const BELOW = [Garment::Dress, Garment::Skirt, Garment::Trousers, Garment::Shorts, Garment::Pinafore, Garment::Jumpsuit];

    public function sees(Traits $cloth): array
    {
        return [$cloth->opacity(), $cloth->isLight()];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $worn = !\in_array($asks->garment, self::NOT_WORN, true);
        $below = \in_array($asks->garment, self::BELOW, true);

        return match (true) {
            !$worn => null,
            Opacity::Sheer === $cloth->opacity() && !$asks->lined => Reason::doubt(
                3,
                'Sheer, and it has no lining: line it, or wear something beneath.',
            ),
            Opacity::Sheer === $cloth->opacity() => Reason::fact('Sheer: the lining it has will do, if it is of the same colour.'),
            Opacity::SlightlySheer === $cloth->opacity() && !$asks->lined && $below => Reason::doubt(
                1,
                'Slightly sheer: hold it against the light, and think of a slip.',
            ),
            null === $cloth->opacity() && $cloth->isLight() && !$asks->lined => Reason::question(
                TestKind::Opacity,
                'Is it sheer? Hold it against the light: there is no lining.',
            ),
            default => null,
        };
    }
}
