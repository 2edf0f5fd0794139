<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Garment;

/** What is to be minded with a project, by the kind of thing it is as much as by whom it is for. Source: docs/rules.md. */
final readonly class Cautions
{
    /** Things that end with a baby, whoever asked for them. */
    private const FOR_BABIES = [Garment::Toy, Garment::Bib, Garment::Quilt];

    /** @return list<Sentence> they never stop anything */
    public function collect(Project $project): array
    {
        $garment = $project->garment();
        $child = $project->brief->person?->caution();
        $said = [
            $child,
            null === $child && \in_array($garment, self::FOR_BABIES, true) ? $this->baby($garment) : null,
            $this->kind($garment),
            $this->isNearAFlame($garment) && $this->isPile($project) ? new Sentence(
                'Brushed and pile cloth catches fire quickly: keep it away from stove, hob and candle, for grown-ups too.',
            ) : null,
        ];

        return array_values(array_filter($said));
    }

    private function baby(Garment $garment): Sentence
    {
        return Garment::Quilt === $garment
            ? new Sentence('If it is for a baby: loose quilts, blankets and pillows are not for a cot.')
            : new Sentence(
                'It is a baby’s, whoever it is made for: eyes are embroidered for under three years, seams tested by pulling, no ribbon or cord that can strangle. Local product-safety rules apply to gifts and sales too.',
            );
    }

    private function kind(Garment $garment): ?Sentence
    {
        return match ($garment) {
            Garment::Bib => new Sentence('A bib closes with something that gives way when it is pulled.'),
            Garment::Cushion => new Sentence('Loose pillows and cushions are not for a cot.'),
            Garment::Curtain => new Sentence('Cords and loops of curtains and blinds strangle: out of reach of children, or none.'),
            Garment::Nightwear => new Sentence(
                'Nightwear must meet the local rules on flammability; loose sleeves stay clear of stove, hob and candle.',
            ),
            default => null,
        };
    }

    private function isNearAFlame(Garment $garment): bool
    {
        return !\in_array($garment, [Garment::Toy, Garment::Bib, Garment::Cushion, Garment::Bag, Garment::Hat, Garment::Swimwear], true);
    }

    private function isPile(Project $project): bool
    {
        foreach ($project->current->claims as $claim) {
            $type = $claim->cloth?->material->type;
            if (null !== $type && ($type->hasNap() || $type->isBrushed() || ClothType::Fleece === $type)) {
                return true;
            }
        }

        return false;
    }
}
