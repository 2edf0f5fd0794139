<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Colour\Lab;
use Octavum\Core\Match\Rule\Reason;

/** Whether two cloths go with one another in a garment, by their colours and prints. Source: docs/rules.md. */
final readonly class GoesWith
{
    /** Two colours are near up to this difference (CIEDE2000), and one is neutral up to this chroma. Starting values of the house. */
    private const NEAR = 12.0;
    private const NEUTRAL = 10.0;

    private const QUIET = [PrintKind::Plain, PrintKind::Stripe, PrintKind::StripeAcross];

    public function judge(Cloth $main, Cloth $other): Reason
    {
        $with = ['main' => $main->name, 'other' => $other->name];

        return match (true) {
            $main->id === $other->id => Reason::fact('Both are cut from {main}.', $with),
            [] === $main->look->colours || [] === $other->look->colours => Reason::question(
                null,
                'Hold {other} to {main}: the colours of both are not set.',
                $with,
            ),
            !\in_array($main->look->print, self::QUIET, true) && !\in_array($other->look->print, self::QUIET, true) => Reason::doubt(
                1,
                '{main} and {other} are both busy prints. Some wear them together on purpose: a matter of taste.',
                $with,
            ),
            self::near($main, $other) => Reason::praise(2, '{other} has a colour near one of {main}.', $with),
            self::isNeutral($other) => Reason::praise(1, '{other} is neutral, and goes with {main}.', $with),
            self::isNeutral($main) => Reason::praise(1, '{main} is neutral, and lets {other} speak.', $with),
            default => Reason::doubt(1, '{other} has no colour of {main}: hold them together first.', $with),
        };
    }

    private static function near(Cloth $a, Cloth $b): bool
    {
        foreach ($a->look->colours as $one) {
            foreach ($b->look->colours as $other) {
                if (Lab::ofHex($one)->difference(Lab::ofHex($other)) <= self::NEAR) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function isNeutral(Cloth $cloth): bool
    {
        foreach ($cloth->look->colours as $hex) {
            $colour = Lab::ofHex($hex);
            if (hypot($colour->a, $colour->b) > self::NEUTRAL) {
                return false;
            }
        }

        return true;
    }
}
