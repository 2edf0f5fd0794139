<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Puts the first project of a season last, again and again. */
final class Ranks extends Writer
{
    /** @var list<string> */
    private array $order = [];
    private string $season = '';

    public function lost(array $lines): array
    {
        $may = $this->mayStand($lines);
        $this->look();

        return [] === $may || \in_array(implode(',', $this->order), $may, true) ? [] : ['a rank was acknowledged and is lost'];
    }

    protected function next(int $round, int $n): string
    {
        if ([] === $this->order) {
            $this->look();
        }

        return implode(',', [...\array_slice($this->order, 1), ...\array_slice($this->order, 0, 1)]);
    }

    protected function send(string $what): Answer
    {
        $answer = $this->visitor->send('/season/'.$this->season.'/rank', ['order' => $what, 'was' => implode(',', $this->order)]);
        if ($this->isAcknowledged($answer)) {
            $this->order = explode(',', $what);
        }

        return $answer;
    }

    protected function isAcknowledged(Answer $answer): bool
    {
        return 303 === $answer->status;
    }

    private function look(): void
    {
        $page = $this->visitor->page('/season');
        if (200 !== $page->status) {
            $page = $this->visitor->page($page->location);
        }
        preg_match('~/season/([0-9A-Z]{26})/rank~', $page->content, $season);
        preg_match_all('~id="p([0-9A-Z]{26})"~', $page->content, $found);
        $this->season = $season[1] ?? '';
        $this->order = $found[1];
    }
}
