<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Technique;

/** Pleats, pintucks and collars live by a crease; some crepes and synthetics take none. */
final readonly class CreaseRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->takesCrease, $cloth->unwilling];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $sharp = $asks->uses(Technique::Pleats, Technique::Pintucks, Technique::CollarStand, Technique::Collar, Technique::WeltPocket);
        if (null === $sharp) {
            return null;
        }
        $with = ['what' => new Sentence($sharp->value)];

        return match (true) {
            false === $cloth->feel->takesCrease => Reason::doubt(
                2,
                'Takes no crease, and it has {what}: edges will roll instead of lying flat.',
                $with,
            ),
            null === $cloth->feel->takesCrease && $cloth->unwilling => Reason::question(
                TestKind::Pressing,
                'Does it take a crease? Press a scrap first: it has {what}.',
                $with,
            ),
            true === $cloth->feel->takesCrease => Reason::praise(1, 'Presses well, as {what} should.', $with),
            default => null,
        };
    }
}
