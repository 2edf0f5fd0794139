<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Gate;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** What the envelope asks for where it is cut by a lay, to compare with what was used. */
final readonly class EnvelopeAsk
{
    public function __construct(private Estimator $estimator)
    {
    }

    /** Null where no table says. */
    public function read(Project $project, Claim $claim, ToCut $toCut): ?Length
    {
        $need = null === $claim->cloth ? null : $this->estimator->estimate(
            $project->wanted($claim),
            CuttingCloth::cut($claim->cloth, $toCut),
        );

        return $need instanceof Need && \in_array($need->way, [NeedSource::OwnWidth, NeedSource::Converted], true) ? $need->amount : null;
    }
}
