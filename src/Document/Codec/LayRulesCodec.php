<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Laid\Figures;
use Octavum\Core\Laid\LayRules;
use Octavum\Core\Laid\PiecePlacement;
use Octavum\Core\Laid\PrintPlacement;
use Octavum\Core\Measure\Length;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** How pieces are laid: fields of a lay, and of what the cutting table asks for. */
final readonly class LayRulesCodec
{
    public const FIELDS = ['oneWay', 'gap', 'allowance', 'match', 'off', 'eased', 'across', 'edged', 'edge', 'figures', 'word'];

    /** Widest gap and allowance, mm. */
    private const MOST_GAP = 100;

    /** How far from an edge or an end anything may be said to lie, mm. */
    private const FARTHEST = 5_000;

    public function read(Node $node): LayRules
    {
        return new LayRules(
            $node->at('oneWay')->boolean(),
            $this->number($node->at('gap'), 0, self::MOST_GAP),
            $node->at('allowance')->isThere() ? Length::ofMillimetres($this->number($node->at('allowance'), 1, self::MOST_GAP)) : null,
            match: $node->at('match')->boolean(),
            off: $node->at('off')->texts(80),
            eased: $node->at('eased')->texts(80),
            across: $node->at('across')->boolean(),
            edged: $node->at('edged')->texts(80),
            edge: $node->at('edge')->isThere() ? $this->from($node->at('edge')) : null,
            figures: $node->at('figures')->isThere() ? $this->figures($node->at('figures')) : null,
            word: $node->at('word')->text(120),
        );
    }

    /** @return array<string, mixed> */
    public function write(LayRules $rules): array
    {
        return Fields::known([
            'oneWay' => $rules->oneWay,
            'gap' => $rules->gap,
            'allowance' => $rules->allowance?->millimetres(),
            'match' => $rules->match,
            'off' => $rules->off,
            'eased' => $rules->eased,
            'across' => $rules->across,
            'edged' => $rules->edged,
            'edge' => $rules->edge?->millimetres(),
            'figures' => null === $rules->figures ? null : $this->writeFigures($rules->figures),
            'word' => $rules->word,
        ]);
    }

    private function figures(Node $node): Figures
    {
        $node->object(['x', 'y', 'along', 'across', 'size', 'pieces']);
        $pieces = [];
        foreach ($node->at('pieces')->items(1_000) as $one) {
            $one->object(['piece', 'seat', 'down', 'apart']);
            $pieces[$one->at('piece')->name(80)] = new PiecePlacement(
                $one->at('seat')->choice(PrintPlacement::class) ?? PrintPlacement::Middle,
                $one->at('down')->isThere() ? $this->from($one->at('down')) : null,
                $one->at('apart')->isThere() ? $this->from($one->at('apart')) : null,
            );
        }

        return new Figures(
            $this->from($node->at('x')),
            $this->from($node->at('y')),
            $node->at('along')->requiredLength(),
            across: $node->at('across')->requiredLength(),
            size: $node->at('size')->requiredLength(),
            pieces: $pieces,
        );
    }

    /** @return array<string, mixed> */
    private function writeFigures(Figures $figures): array
    {
        $pieces = [];
        foreach ($figures->pieces as $piece => $seated) {
            $pieces[] = Fields::known([
                'piece' => $piece,
                'seat' => $seated->seat->value,
                'down' => $seated->down?->millimetres(),
                'apart' => $seated->apart?->millimetres(),
            ]);
        }

        return [
            'x' => $figures->x->millimetres(),
            'y' => $figures->y->millimetres(),
            'along' => $figures->along->millimetres(),
            'across' => $figures->across->millimetres(),
            'size' => $figures->size->millimetres(),
            'pieces' => $pieces,
        ];
    }

    private function from(Node $node): Length
    {
        $distance = $node->isThere() ? (float) $node->number() : 0.0;
        if ($distance < 0 || $distance > self::FARTHEST) {
            $node->fault('A distance of {found} mm cannot be: it is at most 5 m.', found: $node->found());
            $distance = 0.0;
        }

        return Length::ofMillimetres($distance);
    }

    private function number(Node $node, float $least, float $most): float
    {
        return $node->isThere() ? $node->numberWithin($least, $most) : $least;
    }
}
