<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** Cuts at the gate and takes it back, again and again: a cut is in the ledger, the remnants and the plan, or in none of them. */
final class Cuts extends Writer
{
    private const WORD = 'trial';

    private string $gate = '';
    private string $undo = '';

    public function __construct(Visitor $visitor, private readonly string $demo)
    {
        parent::__construct($visitor);
    }

    public function lost(array $lines): array
    {
        $document = $this->visitor->page('/settings/export')->content;
        $written = [
            'in the ledger' => preg_match_all('/"note":\s*"[^"]*; '.self::WORD.'"/', $document),
            'as remnants' => preg_match_all('/"kind":\s*"remnant"/', $document),
            'in the plan' => preg_match_all('/"cutOut":\s*true[^{}]*"gate":\s*\{[^{}]*"laid":\s*"'.self::WORD.'"/', $document),
        ];

        return 1 === \count(array_unique($written)) ? [] : ['half a cut is written: '.json_encode($written, \JSON_THROW_ON_ERROR)];
    }

    protected function next(int $round, int $n): string
    {
        if ('' === $this->undo && '' === $this->gate) {
            $this->look();
        }

        return ('' === $this->undo ? 'cut ' : 'back ').$n;
    }

    protected function send(string $what): Answer
    {
        if (str_starts_with($what, 'back')) {
            [$undo, $this->undo] = [$this->undo, ''];

            return $this->visitor->send($undo, []);
        }
        $answer = $this->visitor->send($this->gate, Changes::cutting(self::WORD));
        if ($this->isAcknowledged($answer)) {
            preg_match('~<form method="post" action="([^"]*undo[^"]*)"~', $this->visitor->page($answer->location)->content, $found);
            $this->undo = html_entity_decode($found[1] ?? '');
        }
        $this->gate = '' === $this->undo ? '' : $this->gate;

        return $answer;
    }

    protected function isAcknowledged(Answer $answer): bool
    {
        return 302 === $answer->status || 303 === $answer->status;
    }

    /** A gate that can be gone through; where none is left, the demo is brought in again. */
    private function look(): void
    {
        foreach ([0, 1] as $again) {
            if (1 === $again) {
                $this->visitor->upload('/settings/import', 'document', 'w.json', $this->demo, ['replace' => '1']);
            }
            $season = $this->visitor->page('/season');
            $season = 200 === $season->status ? $season : $this->visitor->page($season->location);
            preg_match_all('~"(/project/[0-9A-Z]{26})"~', $season->content, $projects);
            foreach (array_unique($projects[1]) as $project) {
                if (1 === preg_match('~"(/project/[0-9A-Z]{26}/gate/[0-9A-Z]{26})"~', $this->visitor->page($project)->content, $found)) {
                    $this->gate = $found[1];

                    return;
                }
            }
        }
    }
}
