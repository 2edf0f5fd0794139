<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Guess;
use Octavum\Core\Need\Need;
use Octavum\Core\Remedy\WaysOut;
use Octavum\Core\Workroom\Settings;
use Octavum\Strip\Scale;
use Octavum\Strip\StripBuilder;

/** Draws a proposal as a row: what it takes of the cloth behind what others have, and what would make it enough. */
final readonly class RowDrawing
{
    public function __construct(private StripBuilder $strips)
    {
    }

    /**
     * @param ?Length               $free     of the cut; null for a cloth still on its roll
     * @param array<string, Length> $promised to others, by cut
     * @param ?Guess                $guess    where its length is not known
     */
    public function draw(
        Proposal $proposal,
        Cloth $cloth,
        Cut $cut,
        ?Length $free,
        array $promised,
        Scale $scale,
        Settings $settings,
        ?Guess $guess = null,
    ): Row {
        $need = $proposal->fit?->need;
        if (!$need instanceof Need) {
            return new Row($proposal, null, $guess);
        }
        $making = $proposal->making;
        $assumptions = $settings->assumptions;
        $strip = $this->strips->trying(
            $cloth,
            ToCut::of($cloth, $cut, $assumptions),
            $promised[$cut->id] ?? Length::zero(),
            name: $making->pattern->title,
            amount: $need->amount,
            scale: $scale,
            system: $settings->system,
        );
        $ways = Group::Short === $proposal->group && null !== $free
            ? (new WaysOut(new Estimator($assumptions), $assumptions))
                ->find($making->wanted(), $making->pattern, $cloth, cut: $cut, available: $free, need: $need, promised: $promised)
            : [];

        return new Row($proposal, $strip, null, $ways);
    }
}
