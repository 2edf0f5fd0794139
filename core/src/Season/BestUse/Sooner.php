<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** What is done about a short cloth before another is taken: a lay that is enough, or another version that fits it. */
final readonly class Sooner
{
    /**
     * @param ?Version $version null for the lay
     * @param ?Length  $laid    what the lay takes; null for another version
     */
    public function __construct(public Project $project, public Claim $claim, public ?Version $version, public ?Length $laid)
    {
    }

    public function sentence(): Sentence
    {
        $with = ['project' => $this->project->name, 'cloth' => $this->claim->cloth->name ?? '', 'version' => $this->version->name ?? ''];

        return null === $this->version
            ? new Sentence('{project} goes on {cloth} when it is laid: keep that lay before you take another cloth.', $with)
            : new Sentence('{project}: version “{version}” fits on {cloth}. Take it before another cloth.', $with);
    }
}
