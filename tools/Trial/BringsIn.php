<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Replaces the workroom by one that is called otherwise. */
final class BringsIn extends Writer
{
    private readonly string $document;

    /** @param string $demo of which the people, cloths and notions are taken: small enough to be brought in between two power cuts */
    public function __construct(Visitor $visitor, string $demo)
    {
        parent::__construct($visitor);
        $left = array_diff_key((array) json_decode($demo, true), [
            'patterns' => true,
            'seasons' => true,
            'projects' => true,
            'lays' => true,
        ]);
        $this->document = (string) json_encode($left, \JSON_UNESCAPED_UNICODE);
    }

    public function lost(array $lines): array
    {
        $may = $this->mayStand($lines);
        preg_match('/"name": "(Workroom \d+ \d+)"/', $there = $this->visitor->page('/settings/export')->content, $found);
        if ([] !== $may && !\in_array($found[1] ?? '', $may, true)) {
            return ['a document was acknowledged and is lost'];
        }

        $whole = substr_count($there, '"structure":') === substr_count($this->document, '"structure":');

        return [] === $may || $whole ? [] : ['a document is there in part'];
    }

    protected function next(int $round, int $n): string
    {
        return \sprintf('Workroom %d %d', $round, $n);
    }

    protected function send(string $what): Answer
    {
        $named = (string) preg_replace('/"name":"[^"]+"/', '"name":"'.$what.'"', $this->document, 1);

        return $this->visitor->upload('/settings/import', 'document', 'w.json', $named, ['replace' => '1']);
    }

    protected function isAcknowledged(Answer $answer): bool
    {
        return 302 === $answer->status;
    }
}
