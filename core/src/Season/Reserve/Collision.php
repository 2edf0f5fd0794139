<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Reserve;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;

/** Taking an option would leave too little of a cut, for itself or for another project. */
final readonly class Collision
{
    /**
     * @param Length $by    how much is missing that would not be without the other
     * @param bool   $first whether the other project has the cut first
     */
    public function __construct(public Project $with, public Cloth $cloth, public Length $by, public bool $first)
    {
    }

    public function sentence(): Sentence
    {
        return new Sentence(
            $this->first
                ? '{project} has {cloth} first: this would be {missing} short because of it'
                : '{project} would be {missing} short of {cloth} because of it',
            ['project' => $this->with->name, 'cloth' => $this->cloth->name, 'missing' => Figure::needed($this->by)],
        );
    }
}
