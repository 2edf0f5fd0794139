<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** How it falls: stiff cloth in a draped pattern is the usual flop. */
final readonly class DrapeRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->drape];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        [$crispest, $fluidest] = [$asks->advice->crispest, $asks->advice->mostFluid];
        if (null === $crispest && null === $fluidest) {
            return null;
        }
        $order = array_flip(array_column(Drape::cases(), 'value'));
        [$from, $to] = [$crispest ?? Drape::Crisp, $fluidest ?? Drape::Fluid];
        $wants = ['from' => new Sentence($from->value), 'to' => new Sentence($to->value)];
        if (null === $cloth->feel->drape) {
            return Reason::question(TestKind::Drape, 'How does it fall? Hang a corner over your hand: it wants {from} to {to}.', $wants);
        }
        $at = $order[$cloth->feel->drape->value];
        $wants['is'] = new Sentence($cloth->feel->drape->value);

        return match (true) {
            $at < $order[$from->value] => Reason::doubt(
                min(6, 3 * ($order[$from->value] - $at)),
                'Falls {is}, and it wants {from} to {to}: it would stand off where it should hang.',
                $wants,
            ),
            $at > $order[$to->value] => Reason::doubt(
                min(6, 3 * ($at - $order[$to->value])),
                'Falls {is}, and it wants {from} to {to}: it would hang limp where it should hold its shape.',
                $wants,
            ),
            default => Reason::praise(3, 'Falls {is}, as it should.', $wants),
        };
    }
}
