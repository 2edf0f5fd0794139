<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Piece\Garment;

/** Swimwear and underwear are pulled both ways: four-way stretch. */
final readonly class FourWayStretchRule implements Rule
{
    private const FOUR_WAY = 50;

    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->along];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        if (!\in_array($asks->garment, [Garment::Swimwear, Garment::Bra], true)) {
            return null;
        }
        $has = $cloth->feel->along;

        return match (true) {
            null === $has => Reason::question(TestKind::Stretch, 'This is pulled lengthways, too. How far does it stretch along?'),
            $has < self::FOUR_WAY => Reason::doubt(3, 'Stretches {has} % along; what is pulled both ways wants {least}.', [
                'has' => $has,
                'least' => self::FOUR_WAY,
            ]),
            default => Reason::praise(1, 'Stretches along as well as across.'),
        };
    }
}
