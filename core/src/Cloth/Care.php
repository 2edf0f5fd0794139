<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Sentence;

/** What fibres let one expect of washing, pressing and dyeing; the label on the bolt comes first. Source: docs/rules.md. */
final readonly class Care
{
    private const DELICATE = [Fibre::Wool, Fibre::Silk];
    private const SYNTHETIC = [Fibre::Polyester, Fibre::Nylon, Fibre::Acrylic];
    private const CELLULOSE = [Fibre::Cotton, Fibre::Linen, Fibre::Hemp, Fibre::Viscose, Fibre::Lyocell, Fibre::Modal];

    /** @return list<Sentence> the most delicate fibre decides */
    public function advise(FibreMix $fibres): array
    {
        if (!$fibres->isKnown()) {
            return [new Sentence('The fibres are not known: follow the label, and try a scrap before washing, pressing or dyeing.')];
        }
        $has = static fn (Fibre ...$of): bool => [] !== array_intersect(array_column($of, 'value'), array_keys($fibres->shares));
        $care = [
            match (true) {
                $has(...self::DELICATE) => new Sentence('Wash by hand or at 30 °C with a mild soap, without wringing, and dry it flat.'),
                $has(Fibre::Viscose, Fibre::Modal, Fibre::Lyocell, Fibre::Acrylic) => new Sentence(
                    'Wash at 30 °C, spun gently; viscose is weak while it is wet.',
                ),
                $has(Fibre::Polyester, Fibre::Nylon, Fibre::Elastane) => new Sentence(
                    'Wash at 40 °C, without softener, which tires elastane.',
                ),
                default => new Sentence('Wash at 40 to 60 °C; the first wash takes the shrinkage out.'),
            },
            match (true) {
                $has(...self::SYNTHETIC) || $has(Fibre::Elastane) => new Sentence('Press cool, one dot, and try a scrap: synthetics melt.'),
                $has(...self::DELICATE) => new Sentence('Press at two dots, from the wrong side, with a cloth between.'),
                $has(Fibre::Viscose, Fibre::Modal, Fibre::Lyocell) => new Sentence('Press at two dots, from the wrong side.'),
                default => new Sentence('Press hot, three dots, with steam.'),
            },
        ];
        $care[] = match (true) {
            $has(Fibre::Polyester) => new Sentence('Polyester hardly takes dye at home.'),
            $has(...self::DELICATE) && !$has(...self::CELLULOSE) => new Sentence('Takes acid dyes.'),
            $has(...self::CELLULOSE) && !$has(...self::DELICATE, ...[Fibre::Acrylic]) => new Sentence('Takes dyes for cellulose fibres.'),
            default => new Sentence(
                'A blend takes dye unevenly: try a scrap. Wear gloves, let air in, and never mix bleach with anything.',
            ),
        };

        return $care;
    }
}
