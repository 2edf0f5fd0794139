<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Role;

/** What a project takes for one role: a length of one cut, or cloth still to be bought; neither when not chosen yet. */
final readonly class Claim
{
    /**
     * @param ?Length   $stated the length to claim when the table shall not decide
     * @param bool      $cutOut the scissors have been through it: it claims nothing any more
     * @param ?SavedLay $lay    that says how much it takes, as long as it holds
     */
    public function __construct(
        public string $id,
        public Role $role,
        public ?Cloth $cloth = null,
        public ?Cut $cut = null,
        public ?Wish $wish = null,
        public ?Length $stated = null,
        public bool $cutOut = false,
        public ?SavedLay $lay = null,
    ) {
    }

    /** The same claim on another cut, where a lay uses several. */
    public function on(Cloth $cloth, Cut $cut): self
    {
        return new self($this->id, $this->role, $cloth, $cut, null, $this->stated, $this->cutOut, $this->lay);
    }
}
