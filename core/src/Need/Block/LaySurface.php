<?php

declare(strict_types=1);

namespace Octavum\Core\Need\Block;

use Octavum\Core\Measure\Length;

/** What pieces are laid on in a moment: a roll of cloth with its usable width, and what its print asks of a lay. */
final readonly class LaySurface
{
    /**
     * @param Length  $width  between the selvages, after the wash
     * @param bool    $oneWay the top of every piece points the same way
     * @param ?Length $repeat to be matched; null where none is
     * @param bool    $alike  the print is the same turned by 180°
     */
    public function __construct(
        public Length $width,
        public bool $oneWay = false,
        public ?Length $repeat = null,
        public bool $alike = false,
    ) {
    }

    /** The same print on cloth of another width. */
    public function wide(Length $width): self
    {
        return new self($width, $this->oneWay, $this->repeat, $this->alike);
    }

    /** What tells it from others, where lays on it are kept. */
    public function key(): string
    {
        return implode(' ', [
            $this->width->micrometres,
            $this->oneWay ? 'one way' : '',
            null === $this->repeat ? '' : 'repeat '.$this->repeat->micrometres,
            $this->alike ? 'alike' : '',
        ]);
    }
}
