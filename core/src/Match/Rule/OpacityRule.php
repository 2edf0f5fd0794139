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
    /** Nobody wears a slip under these. */
    private const BARE = [Garment::Trousers, Garment::Shorts, Garment::Jumpsuit];
    private const BELOW = [Garment::Dress, Garment::Skirt, Garment::Trousers, Garment::Shorts, Garment::Pinafore, Garment::Jumpsuit];

    public function sees(Traits $cloth): array
    {
        $word = $cloth->opacityWord();

        return [$cloth->opacity(), $cloth->isLight(), $word, null === $word ? null : $cloth->guess?->opacity];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $word = $cloth->opacityWord();

        if (null === $word) {
            return $this->say($cloth->opacity(), $cloth->isLight(), $asks);
        }
        $isBare = Opacity::Sheer === $cloth->guess?->opacity && \in_array($asks->garment, self::BARE, true);

        return $this->say($cloth->guess?->opacity, false, $asks)?->asGuess($word, $isBare ? Judgement::FAR : 0);
    }

    /** @param bool $isOpen light, so that it may be sheer where nobody knows */
    private function say(?Opacity $opacity, bool $isOpen, Asks $asks): ?Reason
    {
        $worn = !\in_array($asks->garment, self::NOT_WORN, true);
        $below = \in_array($asks->garment, self::BELOW, true);

        return match (true) {
            !$worn => null,
            Opacity::Sheer === $opacity && !$asks->lined => Reason::doubt(
                3,
                'Sheer, and it has no lining: line it, or wear something beneath.',
            ),
            Opacity::Sheer === $opacity => Reason::fact('Sheer: the lining it has will do, if it is of the same colour.'),
            Opacity::SlightlySheer === $opacity && !$asks->lined && $below => Reason::doubt(
                1,
                'Slightly sheer: hold it against the light, and think of a slip.',
            ),
            null === $opacity && $isOpen && !$asks->lined => Reason::question(
                TestKind::Opacity,
                'Is it sheer? Hold it against the light: there is no lining.',
            ),
            default => null,
        };
    }
}
