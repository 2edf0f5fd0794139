<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Fibre;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Sentence;

/** Needle, stitch, foot and iron to start with on a scrap of a cloth. Source: docs/rules.md. */
final readonly class Needle
{
    /** @return array{needle: Sentence, stitch: Sentence, foot: Sentence, press: Sentence} */
    public function advise(Cloth $cloth): array
    {
        return [
            'needle' => new Sentence($this->needle($cloth)),
            'stitch' => new Sentence($this->stitch($cloth)),
            'foot' => new Sentence($this->foot($cloth)),
            'press' => new Sentence($this->press($cloth)),
        ];
    }

    private function needle(Cloth $cloth): string
    {
        $heavy = $this->isHeavy($cloth);

        return match (true) {
            ClothType::Swim === $cloth->material->type,
            $this->has($cloth, Fibre::Elastane) && Structure::Knit === $cloth->material->structure => 'stretch, 75 or 90',
            Structure::Knit === $cloth->material->structure => $heavy ? 'ball point, 90' : 'stretch or ball point, 75 or 80',
            \in_array($cloth->material->type, [ClothType::Denim, ClothType::Canvas], true) => 'jeans, 90 to 100',
            $this->has($cloth, Fibre::Silk),
            ClothType::Satin === $cloth->material->type,
            WeightClass::Sheer === $cloth->material->weight?->class => 'microtex, 60 or 70',
            WeightClass::Light === $cloth->material->weight?->class => 'universal or microtex, 70',
            WeightClass::VeryHeavy === $cloth->material->weight?->class => 'universal or jeans, 100',
            $heavy => 'universal, 90',
            null === $cloth->material->weight => 'universal, 80: its weight is not known, so try a scrap',
            default => 'universal, 80',
        };
    }

    private function stitch(Cloth $cloth): string
    {
        return match (true) {
            Structure::Knit === $cloth->material->structure => 'narrow zigzag 0.5 × 2.5 mm, or a stretch stitch',
            \in_array($cloth->material->weight?->class, [WeightClass::Sheer, WeightClass::Light], true) => 'straight, 2.0 to 2.2 mm',
            $this->isHeavy($cloth) => 'straight, 3 mm; 3.5 mm on top',
            default => 'straight, 2.5 mm',
        };
    }

    private function foot(Cloth $cloth): string
    {
        return match (true) {
            $cloth->isOneWay() && true === $cloth->material->type?->hasNap(),
            Structure::Knit === $cloth->material->structure => 'walking foot, or less pressure on the foot',
            WeightClass::Sheer === $cloth->material->weight?->class,
            $this->has($cloth, Fibre::Silk) => 'straight stitch plate, so that nothing is drawn in',
            default => 'the usual foot',
        };
    }

    private function press(Cloth $cloth): string
    {
        return match (true) {
            true === $cloth->material->type?->hasNap() => 'from the wrong side on a towel or a scrap of itself, hardly touching it',
            !$cloth->material->fibres->isKnown() => 'cool first, on a scrap, with a cloth between: the fibres are not known',
            $this->has($cloth, Fibre::Polyester, Fibre::Nylon, Fibre::Acrylic, Fibre::Elastane) => 'cool, a cloth between: hot, it melts',
            $this->has($cloth, Fibre::Silk) => 'low, dry, from the wrong side',
            $this->has($cloth, Fibre::Wool) => 'steam and a damp cloth between; let it dry flat',
            $this->has($cloth, Fibre::Viscose, Fibre::Modal, Fibre::Lyocell) => 'medium, from the wrong side',
            $this->has($cloth, Fibre::Linen, Fibre::Hemp) => 'hot, while it is damp',
            default => 'hot, with steam',
        };
    }

    private function isHeavy(Cloth $cloth): bool
    {
        return \in_array($cloth->material->weight?->class, [WeightClass::Heavy, WeightClass::VeryHeavy], true);
    }

    private function has(Cloth $cloth, Fibre ...$of): bool
    {
        return [] !== array_intersect(array_column($of, 'value'), array_keys($cloth->material->fibres->shares));
    }
}
