<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\Edges;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Tool;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** A pattern that needs a tool which is not in the house says so. */
final readonly class ToolRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->structure, $cloth->feel->edges];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        foreach ($asks->techniques as $technique) {
            $tool = Tool::of($technique);
            if (null !== $tool && \in_array($tool, $asks->sewist->lacks, true)) {
                return Reason::doubt(1, 'It wants {tool} for its {what}, which you say you have not.', [
                    'tool' => new Sentence($tool->value),
                    'what' => new Sentence($technique->value),
                ]);
            }
        }

        return match (true) {
            !\in_array(Tool::StretchStitch, $asks->sewist->lacks, true) => null,
            $cloth->isKnit() => Reason::doubt(
                1,
                'Its seams must stretch, and you have no stretch stitch or overlocker: try a narrow zigzag on a scrap.',
            ),
            Edges::Fray === $cloth->feel->edges => Reason::fact(
                'It frays, and you have no overlocker: neaten with a zigzag, or bind the seams.',
            ),
            default => null,
        };
    }
}
