<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;

/** A cut, or an endless roll, as it was when a lay was made on it. */
final readonly class LaidSheet
{
    /**
     * @param ?Cut    $cut    null for a roll, or a cut that is no longer known
     * @param Length  $width  usable
     * @param ?Length $length to cut from; null for a roll
     * @param Length  $used   from the cut end
     */
    public function __construct(public ?Cloth $cloth, public ?Cut $cut, public Length $width, public ?Length $length, public Length $used)
    {
    }

    public function isRoll(): bool
    {
        return null === $this->length;
    }
}
