<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Makes changes of one kind and undoes each: afterwards a change is there whole, with its undo, or not at all. */
final class ChangesOnce extends Writer
{
    private const CHANGE = 'change';
    private const UNDO = 'undo';

    private readonly Changes $changes;
    private readonly Stored $stored;
    private StoredRows $before;

    /** @param Visitor $visitor whose account is the newest */
    public function __construct(Server $server, Visitor $visitor, private readonly string $kind)
    {
        parent::__construct($visitor);
        $this->changes = new Changes();
        $this->stored = Stored::ofNewestAccount($server);
        $this->before = StoredRows::none();
    }

    public function lost(array $lines): array
    {
        $last = end($lines);
        if (false === $last) {
            return [];
        }
        [$how, $what, $before, $made] = explode(' ', $last) + ['', '', '', ''];
        $now = $this->stored->rows()->hash();
        $fine = match ([$how, $what]) {
            ['begun', self::CHANGE] => $before === $now || $this->isUndoneTo($before),
            ['done', self::CHANGE] => $before !== $now && $this->isUndoneTo($before),
            ['begun', self::UNDO] => $before === $now || ($made === $now && $this->isUndoneTo($before)),
            ['done', self::UNDO] => $before === $now,
            default => true,
        };

        return $fine ? [] : [\sprintf('%s: after “%s” it is half there, or lost', $this->kind, $last)];
    }

    protected function next(int $round, int $n): string
    {
        $now = $this->stored->rows();
        if (1 === $n % 2 && !$now->isAs($this->before)) {
            return self::UNDO.' '.$this->before->hash().' '.$now->hash();
        }
        $this->before = $now;

        return self::CHANGE.' '.$now->hash();
    }

    protected function send(string $what): Answer
    {
        if (str_starts_with($what, self::UNDO)) {
            return $this->visitor->send('/undo/'.$this->stored->newestUndo(), []);
        }
        $answer = $this->changes->send($this->kind, $this->before, $this->visitor, new Odd(random_int(0, 100_000)));
        // nothing there to be changed so, or changed to what it was: the page says so
        $isRefused = null === $answer || (0 !== $answer->status && $this->stored->rows()->isAs($this->before));

        return $isRefused ? new Answer(409, 0, '', '') : $answer;
    }

    protected function isAcknowledged(Answer $answer): bool
    {
        return 302 === $answer->status;
    }

    private function isUndoneTo(string $before): bool
    {
        $this->visitor->send('/undo/'.$this->stored->newestUndo(), []);

        return $before === $this->stored->rows()->hash();
    }
}
