<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/**
 * A walk by chance over the changes of a workroom in two tabs, with undos in and out of order, against what must be left: a change that
 * is undone first leaves what was there before it, an undo that is refused leaves all as it is, and what is undone from the last to the
 * first leaves the beginning. What is there is read in the database itself after each step. After twenty changes each the export is read
 * into another account and exported again.
 */
final class Undo implements Trial
{
    private const CHANGES = 20;

    /** In a run of a few seconds. */
    private const FEW = 6;
    private const SHORT = 10;

    /** One change in so many is looked for on the page that follows. */
    private const SEEN = 8;

    /** @var array<string, int> how often each kind of change was made */
    private array $made = [];

    private Stored $stored;
    private Changes $changes;
    private int $steps = 0;
    private int $undone = 0;
    private int $refused = 0;
    private int $exported = 0;

    public function name(): string
    {
        return 'undo';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        $odd = new Odd($seed);
        $tab = Visitor::oneOfMany($server);
        $this->stored = Stored::ofNewestAccount($server);
        $this->changes = new Changes();
        $this->made = array_fill_keys($this->changes->kinds(), 0);
        $other = Visitor::oneOfMany($server);
        while ($span->more() || 0 === array_sum($this->made)) {
            $this->episode([$tab, clone $tab], $span->seconds < self::SHORT ? self::FEW : self::CHANGES, $odd, $tally);
            $this->comesHome($tab, $other, $tally);
        }
        $never = implode(', ', array_keys($this->made, 0, true));
        $this->made = array_filter($this->made, static fn (int $times): bool => $times > 0);
        $tally->figures[] = \sprintf('%d steps, %d changes of %d kinds', $this->steps, array_sum($this->made), \count($this->made));
        $tally->figures[] = 'never changed anything: '.('' === $never ? 'none' : $never);
        $tally->figures[] = \sprintf('%d undone, %d refused, %d exports read again', $this->undone, $this->refused, $this->exported);
    }

    /** @param array{Visitor, Visitor} $tabs of one person */
    private function episode(array $tabs, int $changes, Odd $odd, Tally $tally): void
    {
        $begun = $now = $this->stored->rows();
        /** @var list<array{undo: string, kind: string, before: ?StoredRows}> $stack the newest last, each with what undoing it leads to */
        $stack = [];
        for ($i = 0; $i < $changes; ++$i) {
            $tab = $tabs[$odd->number(0, 1)];
            if ([] !== $stack && 0 === $odd->number(0, 3)) {
                $at = $odd->number(0, 1) * $odd->number(0, \count($stack) - 1);
                $now = $this->undo($tab, $stack, \count($stack) - 1 - $at, $now, $tally);
                continue;
            }
            $kind = $odd->pick($this->changes->kinds());
            $newest = $this->stored->newestUndo();
            $answer = $this->changes->send($kind, $now, $tab, $odd);
            if (null === $answer) {
                continue;
            }
            ++$this->steps;
            $tally->answer($answer, $kind);
            $undo = $this->stored->newestUndo();
            $after = $this->stored->rows();
            if (!$after->isAs($now)) {
                ++$this->made[$kind];
                $tally->expect($undo !== $newest, $kind.' changed something and offers no undo: '.$now->difference($after));
                if ($undo !== $newest) {
                    $stack[] = ['undo' => $undo, 'kind' => $kind, 'before' => $now];
                    if (0 === $odd->number(0, self::SEEN - 1)) {
                        $tally->expect(str_contains($this->toast($tab, $answer), '/undo/'.$undo), $kind.': its page has no undo');
                    }
                }
            }
            $now = $after;
        }
        $whole = true;
        while ([] !== $stack) {
            $kind = $stack[\count($stack) - 1]['kind'];
            $left = \count($stack) - 1;
            $now = $this->undo($tabs[0], $stack, $left, $now, $tally);
            if (\count($stack) > $left) {
                $whole = false;
                $tally->bad('the newest change, '.$kind.', cannot be undone');
                array_pop($stack);
            }
        }
        if ($whole) {
            $tally->expect($now->isAs($begun), 'all undone, it is not as it was at the beginning: '.$begun->difference($now));
        }
    }

    /** @param list<array{undo: string, kind: string, before: ?StoredRows}> $stack loses the change when it is undone */
    private function undo(Visitor $tab, array &$stack, int $at, StoredRows $now, Tally $tally): StoredRows
    {
        $change = $stack[$at];
        $isNewest = $at === \count($stack) - 1;
        $answer = $tab->send('/undo/'.$change['undo'], []);
        ++$this->steps;
        $tally->answer($answer, 'undo of '.$change['kind']);
        $after = $this->stored->rows();
        if (!$this->stored->isUndone($change['undo'])) {
            ++$this->refused;
            $tally->expect($after->isAs($now), $change['kind'].' was not undone, and yet something changed: '.$now->difference($after));

            return $after;
        }
        ++$this->undone;
        if ($isNewest && null !== $change['before']) {
            $tally->expect(
                $after->isAs($change['before']),
                $change['kind'].' is undone, and it is not as before: '.$change['before']->difference($after),
            );
        }
        foreach (array_keys($stack) as $later) {
            if ($later > $at) {
                // it was made after what is undone now: what was before it is nowhere any more
                $stack[$later]['before'] = null;
            }
        }
        array_splice($stack, $at, 1);

        return $after;
    }

    private function comesHome(Visitor $tab, Visitor $other, Tally $tally): void
    {
        $document = $tab->page('/settings/export')->content;
        $answer = $other->upload('/settings/import', 'document', 'w.json', $document, ['replace' => '1']);
        $tally->answer($answer, 'its export is read by another account', 10);
        $tally->expect(302 === $answer->status, 'its export is refused by another account');
        $back = $this->plain($other->page('/settings/export')->content);
        $sent = $this->plain($document);
        $tally->expect($sent === $back, 'its export comes home another: '.$this->difference($sent, $back));
        ++$this->exported;
    }

    /** Without what follows from other rows, and with ids named by their order, since each account has its own. */
    private function plain(string $document): string
    {
        $ids = [];

        return (string) preg_replace_callback(
            '/[0-9A-HJKMNP-TV-Z]{26}|"rank": \d+/',
            static function (array $found) use (&$ids): string {
                return str_starts_with($found[0], '"rank') ? '"rank": 0' : '#'.($ids[$found[0]] ??= \count($ids));
            },
            $document,
        );
    }

    private function difference(string $a, string $b): string
    {
        [$a, $b] = [explode("\n", $a), explode("\n", $b)];
        foreach ($a as $i => $line) {
            if (($b[$i] ?? '') !== $line) {
                return \sprintf('line %d: %s | %s', $i, trim($line), trim($b[$i] ?? ''));
            }
        }

        return \sprintf('%d lines and %d', \count($a), \count($b));
    }

    /** What the next page says of the change. */
    private function toast(Visitor $tab, Answer $answer): string
    {
        for ($i = 0; $i < 3 && '' !== $answer->location; ++$i) {
            $answer = $tab->page((string) preg_replace('~^https?://[^/]+~', '', $answer->location));
        }
        preg_match('~<div class="toasts".*~s', $answer->content, $toasts);

        return $toasts[0] ?? '';
    }
}
