<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** A piece that is wider than the cloth, at every way of laying it that is allowed: no length is enough. Source: docs/rules.md. */
final readonly class TooWide
{
    /**
     * @param Length $across what the piece takes across the cloth, its fold opened and its allowance added
     * @param Length $usable width of the cloth after the wash
     */
    public function __construct(public string $piece, public Length $across, public Length $usable)
    {
    }

    public function sentence(): Sentence
    {
        return new Sentence('{piece} is {across} across, and the cloth leaves {usable} between its selvages: no length of it is enough.', [
            'piece' => $this->piece,
            'across' => Figure::needed($this->across),
            'usable' => Figure::owned($this->usable),
        ]);
    }
}
