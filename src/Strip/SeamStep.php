<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Project\Log\Step;

/** One step of a seam, in pixels. */
final readonly class SeamStep
{
    /**
     * @param string  $label empty where there is no room for it
     * @param ?string $pin   for the notions it needs: "here" or "missing"; null without any, and when it is done
     * @param bool    $waits an open end
     */
    public function __construct(
        public float $x,
        public float $width,
        public Step $step,
        public ?int $minutes,
        public string $label,
        public ?string $pin,
        public bool $waits,
    ) {
    }
}
