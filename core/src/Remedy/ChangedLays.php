<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;

/** Lays pieces as changes leave them, each way once. */
final class ChangedLays
{
    /** With nothing changed it is laid for longer, since the answer may be that nothing need be; and where that is kept. */
    public const TIMES = 4;
    private const LONGER = ' longer';
    private const ONLY = ' only ';

    /** @param array<string, ?int> $laid as all() gave it before, for the same pieces on the same width */
    public function __construct(
        public readonly Laying $laying,
        private array $laid = [],
        private readonly Block $block = new Block(),
    ) {
    }

    /** @return array<string, ?int> what was laid so far, in micrometres */
    public function all(): array
    {
        return $this->laid;
    }

    /** @return ?Length null when it does not go on at all */
    public function with(Change ...$changes): ?Length
    {
        $key = implode("\n", array_map(static fn (Change $change): string => $change->key, $changes));

        return $this->once($key, fn (): ?Length => array_reduce(
            $changes,
            static fn (Laying $all, Change $change): Laying => $change->apply($all),
            $this->laying,
        )->length($this->block));
    }

    /** Laid with nothing changed before. */
    public function isLaid(): bool
    {
        return \array_key_exists(self::LONGER, $this->laid);
    }

    public function unchanged(): ?Length
    {
        return $this->once(self::LONGER, fn (): ?Length => $this->laying->length($this->block, self::TIMES));
    }

    /** @param non-empty-list<string> $names what these pieces take by themselves on cloth of another width */
    public function only(array $names, Length $usable): ?Length
    {
        $pieces = array_values(array_intersect_key($this->laying->pieces, array_flip($names)));

        return $this->once(
            self::ONLY.$usable->micrometres.' '.implode('/', $names),
            fn (): ?Length => $this->block->quickly($pieces, $this->laying->size, $this->laying->surface->wide($usable)),
        );
    }

    /** @param \Closure(): ?Length $lay */
    private function once(string $key, \Closure $lay): ?Length
    {
        if (!\array_key_exists($key, $this->laid)) {
            $this->laid[$key] = $lay()?->micrometres;
        }
        $laid = $this->laid[$key];

        return null === $laid ? null : Length::ofMicrometres($laid);
    }
}
