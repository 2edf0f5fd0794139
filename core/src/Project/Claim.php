<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Role;

/** What a project takes for one role, or for some pieces: a length of one cut, or cloth to be bought; neither when not chosen yet. */
final readonly class Claim
{
    /**
     * @param ?Length               $stated the length to claim when the table shall not decide
     * @param bool                  $cutOut the scissors have been through it: it claims nothing any more
     * @param ?SavedLay             $lay    that says how much it takes, as long as it holds
     * @param list<string>          $pieces it is for, by name; none for all of its role but those that come from other cloth
     * @param array<string, string> $gate   what was said of the checks before cutting, by their names: a word where one was waived
     * @param ?Length               $used   what was really cut off
     * @param ?Length               $asked  what the envelope asked for then
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
        public array $pieces = [],
        public array $gate = [],
        public ?Length $used = null,
        public ?Length $asked = null,
    ) {
    }

    /** What it is for: its role, or its pieces by name. */
    public function title(): Sentence
    {
        return [] === $this->pieces
            ? new Sentence($this->role->value)
            : new Sentence('{pieces}', ['pieces' => implode(', ', $this->pieces)]);
    }

    /** What tells it from the others of a way to make a project. */
    public function place(): string
    {
        return $this->role->value.([] === $this->pieces ? '' : serialize($this->pieces));
    }

    /** About when its cloth comes, where that is ordered and not cut out; null when it waits for no day. */
    public function comes(): ?\DateTimeImmutable
    {
        return CutState::Ordered === $this->cut?->state && !$this->cutOut ? $this->cut->expected : null;
    }

    /** @param list<string> $pieces none for all of the role */
    public function isFor(Role $role, array $pieces): bool
    {
        return $this->role === $role && $this->pieces === $pieces;
    }

    /** @param list<string> $pieces */
    public function cutting(array $pieces): self
    {
        return $this->changed($this->cloth, $this->cut, $this->wish, $this->lay, $pieces);
    }

    /** Whether it is from the same cut, or the same is to be bought for it. */
    public function isFromWhere(self $other): bool
    {
        return $this->cut?->id === $other->cut?->id && $this->wish?->name === $other->wish?->name;
    }

    public function laid(?SavedLay $lay): self
    {
        return $this->changed($this->cloth, $this->cut, $this->wish, $lay, $this->pieces);
    }

    /** The same claim on another cut, where a lay uses several. */
    public function takenFrom(Cloth $cloth, Cut $cut): self
    {
        return $this->changed($cloth, $cut, null, $this->lay, $this->pieces);
    }

    /** @param list<string> $pieces */
    private function changed(?Cloth $cloth, ?Cut $cut, ?Wish $wish, ?SavedLay $lay, array $pieces): self
    {
        return new self(
            $this->id,
            $this->role,
            $cloth,
            cut: $cut,
            wish: $wish,
            stated: $this->stated,
            cutOut: $this->cutOut,
            lay: $lay,
            pieces: $pieces,
            gate: $this->gate,
            used: $this->used,
            asked: $this->asked,
        );
    }
}
