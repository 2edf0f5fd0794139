<?php

declare(strict_types=1);

namespace Octavum\Console\Trial;

/**
 * A walk by chance over the changes of a workroom in two tabs, with undos in and out of order, against what must be left: a change that
 * is undone first leaves what was there before it, an undo that is refused leaves all as it is, and what is undone from the last to the
 * first leaves the beginning. After twenty changes each the export is read into another account and exported again.
 */
final class Undoing implements Trial
{
    private const CHANGES = 20;

    /** In a run of a few seconds. */
    private const FEW = 6;
    private const SHORT = 10;

    /** @var array<string, int> how often each kind of change was made */
    private array $made = [];

    /** The document as it was exported last. */
    private string $raw = '';

    private int $undone = 0;
    private int $refused = 0;
    private int $exported = 0;

    public function name(): string
    {
        return 'undo';
    }

    public function run(Server $server, Span $span, int $seed, Tally $tally): void
    {
        $odd = new Odd($seed);
        $tab = Visitor::oneOfMany($server);
        $other = Visitor::oneOfMany($server);
        while ($span->more() || [] === $this->made) {
            $this->episode([$tab, clone $tab], $span->seconds < self::SHORT ? self::FEW : self::CHANGES, $odd, $tally);
            $this->comesHome($tab, $other, $tally);
        }
        ksort($this->made);
        $tally->figures[] = \sprintf('%d changes of %d kinds', array_sum($this->made), \count($this->made));
        $tally->figures[] = \sprintf('%d undone, %d refused, %d exports read again', $this->undone, $this->refused, $this->exported);
    }

    /** @param array{Visitor, Visitor} $tabs of one person */
    private function episode(array $tabs, int $changes, Odd $odd, Tally $tally): void
    {
        $begun = $now = $this->export($tabs[0]);
        /** @var list<array{undo: string, kind: string, before: ?string}> $stack the newest last, each with what undoing it leads to */
        $stack = [];
        for ($i = 0; $i < $changes; ++$i) {
            $tab = $tabs[$odd->number(0, 1)];
            if ([] !== $stack && 0 === $odd->number(0, 3)) {
                $at = $odd->number(0, 1) * $odd->number(0, \count($stack) - 1);
                $now = $this->undo($tab, $stack, \count($stack) - 1 - $at, $now, $tally);
                continue;
            }
            [$kind, $page, $path, $fields] = $this->change($odd);
            if ('' === $path) {
                continue;
            }
            $content = $tab->page($page)->content;
            if (1 === preg_match('/name="revision"\s+value="(\d+)"/', $content, $revision)) {
                $fields += ['revision' => $revision[1]];
            }
            $answer = $tab->send($path, $fields);
            $tally->answer($answer, $kind);
            $undo = $this->toast($tab, $answer)[1];
            $after = $this->export($tab);
            if ($after !== $now) {
                $this->made[$kind] = ($this->made[$kind] ?? 0) + 1;
                $tally->expect('' !== $undo, $kind.' changed something and offers no undo');
                if ('' !== $undo) {
                    $stack[] = ['undo' => $undo, 'kind' => $kind, 'before' => $now];
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
            $tally->expect($begun === $now, 'all undone, it is not as it was at the beginning: '.$this->difference($begun, $now));
        }
    }

    /** @param list<array{undo: string, kind: string, before: ?string}> $stack loses the change when it is undone */
    private function undo(Visitor $tab, array &$stack, int $at, string $now, Tally $tally): string
    {
        $change = $stack[$at];
        $isNewest = $at === \count($stack) - 1;
        $tab->page('/settings');
        $answer = $tab->send($change['undo'], []);
        $tally->answer($answer, 'undo of '.$change['kind']);
        $said = $this->toast($tab, $answer)[0];
        $after = $this->export($tab);
        if (!str_contains($said, 'That is undone.')) {
            ++$this->refused;
            $tally->expect($after === $now, $change['kind'].' was not undone, and yet something changed: '.$this->difference($now, $after));

            return $after;
        }
        ++$this->undone;
        if ($isNewest && null !== $change['before']) {
            $tally->expect(
                $after === $change['before'],
                $change['kind'].' is undone, and it is not as before: '.$this->difference($change['before'], $after),
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
        $tally->answer($other->page('/settings'), 'the settings of another account');
        $answer = $other->upload('/settings/import', 'document', 'w.json', $document, ['replace' => '1']);
        $tally->answer($answer, 'its export is read by another account', 10);
        $tally->expect(302 === $answer->status, 'its export is refused by another account');
        $back = $this->export($other);
        $sent = $this->plain($document);
        $tally->expect($sent === $back, 'its export comes home another: '.$this->difference($sent, $back));
        ++$this->exported;
    }

    private function export(Visitor $tab): string
    {
        $this->raw = $tab->page('/settings/export')->content;

        return $this->plain($this->raw);
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

    /** @return array{string, string} what the next page says, and the address that undoes it, empty for none */
    private function toast(Visitor $tab, Answer $answer): array
    {
        for ($i = 0; $i < 3 && '' !== $answer->location; ++$i) {
            $answer = $tab->page((string) preg_replace('~^https?://[^/]+~', '', $answer->location));
        }
        preg_match('~<div class="toasts".*~s', $answer->content, $toasts);
        preg_match('~action="(/undo/[^"]+)"~', $toasts[0] ?? '', $undo);

        return [html_entity_decode(strip_tags($toasts[0] ?? '')), html_entity_decode($undo[1] ?? '')];
    }

    /** @return array{string, string, string, array<string, mixed>} kind, the page whose token it takes, path (empty for none), fields */
    private function change(Odd $odd): array
    {
        $all = json_decode($this->raw, true);
        $all = \is_array($all) ? $all : [];
        $id = static fn (string $list, string $parts = ''): string => self::pick($odd, $all[$list] ?? null, $parts);
        $one = $id('projects');
        $project = '/project/'.$one;
        $cloth = '/cloth/'.$id('cloths');
        $option = $this->option($all['projects'] ?? null, $odd);
        $named = ['season' => $id('seasons'), 'name' => 'By chance '.$odd->number(1, 999)];
        $cut = '/cut/'.$id('cloths', 'cuts');
        $some = [$id('cloths'), $id('cloths')];
        $kept = ['reason' => 'by chance', 'keep' => (string) $odd->number(0, 1)];
        $state = $odd->of(['planned', 'ready to cut', 'sewing', 'resting', 'given up', 'done']);
        $kinds = [
            'take' => [$option[0], $option[0].'/option/'.$option[1].'/take', $kept],
            'let go' => [$option[0], $option[0].'/option/'.$option[1].'/let-go', []],
            'bring back' => [$option[0], $option[0].'/option/'.$option[1].'/back', []],
            'take an option out' => [$option[0], $option[0].'/option/'.$option[1].'/remove', []],
            'new option' => [$project.'/option/new', $project.'/option/new', ['size' => '16', 'when' => 'by chance']],
            'move up' => [$project, $project.'/move', []],
            'next year' => [$project, $project.'/season', ['season' => 'next year']],
            'in no season' => [$project, $project.'/season', ['season' => 'none']],
            'to a season' => [$project, $project.'/season', ['season' => $id('seasons')]],
            'split' => [$project, $project.'/split', ['first' => 'Half a '.$odd->number(1, 99), 'second' => 'Other half']],
            'decline' => [$project, $project.'/decline', ['role' => 'lining']],
            'state' => [$project, $project.'/state', ['state' => $state, 'why' => 'by chance']],
            'take a project out' => [$project, $project.'/remove', []],
            'save a project' => [$project.'/change', $project.'/change', $this->saved($odd)],
            'new project' => ['/project/new', '/project/new', $named + $this->saved($odd)],
            'take a cloth out' => [$cloth, $cloth.'/remove', []],
            'more cloth' => ['/cloth/haul', '/cloth/haul', ['haul' => "1.2 m lawn 140 wide\n2 m red twill 150 wide"]],
            'another cut' => [$cloth, $cloth.'/cuts', ['length' => '1.1', 'label' => 'by chance']],
            'ledger' => [$cloth, $cut.'/ledger', ['kind' => $odd->of(['washed', 'measured', 'steamed']), 'length' => '0.9']],
            'take a cut out' => [$cloth, $cut.'/remove', []],
            'several cloths' => ['/cloth', '/cloth/bulk', [
                'cloths' => $some,
                'what' => $odd->of(['aside', 'back', 'move', 'remove']),
                'text' => 'locker 9',
            ]],
            'apart' => [$cloth, $cloth.'/apart', ['parts' => "Back 60 x 40 cm\nFront 50 x 40 cm"]],
            'take a notion out' => ['/notions', '/notions/'.$id('notions').'/remove', []],
            'more notions' => ['/notions', '/notions', ['lines' => "6 buttons 15 mm\nzip 20 cm"]],
            'use notions' => ['/shopping', '/notions/use/'.$one, []],
            'take a list out' => ['/lists', '/lists/'.$id('lists').'/remove', []],
            'take a person out' => ['/people', '/people/'.$id('people').'/remove', []],
            'take a pattern out' => ['/patterns', '/patterns/'.$id('patterns').'/remove', []],
            'take a version out' => ['/patterns', '/versions/'.$id('patterns', 'versions').'/remove', []],
            'take a lay away' => ['/table', '/table/'.$id('lays').'/remove', []],
        ];
        $kind = $odd->of(array_keys($kinds));
        [$page, $path, $fields] = $kinds[$kind];

        return [$kind, $page, str_contains($path, '//') || str_ends_with($page, '/') ? '' : $path, $fields];
    }

    /** @return array<string, mixed> what a project's form is sent with */
    private function saved(Odd $odd): array
    {
        return [
            'notes' => 'by chance '.$odd->number(1, 999),
            'size' => $odd->of(['14', '16', '']),
            'claims' => [['role' => 'main', 'buy' => 'Tweed '.$odd->number(1, 9)], ['role' => 'lining', 'buy' => 'Silk']],
            'copies' => [['size' => '12'], ['size' => '18']],
            'certainty' => 'likely',
            'state' => 'planned',
        ];
    }

    /** @return array{string, string} the address of a project, and an option of it that is not current; empty for none */
    private function option(mixed $projects, Odd $odd): array
    {
        $found = [];
        foreach (\is_array($projects) ? $projects : [] as $project) {
            $options = \is_array($project) && \is_array($project['options'] ?? null) ? $project['options'] : [];
            foreach ($options as $option) {
                if (\is_array($option) && \is_array($project) && ($option['id'] ?? '') !== ($project['current'] ?? '')) {
                    $found[] = ['/project/'.self::text($project['id'] ?? ''), self::text($option['id'] ?? '')];
                }
            }
        }

        return [] === $found ? ['', ''] : $found[$odd->number(0, \count($found) - 1)];
    }

    private static function pick(Odd $odd, mixed $list, string $parts): string
    {
        $list = \is_array($list) ? array_values($list) : [];
        $one = [] === $list ? null : $list[$odd->number(0, \count($list) - 1)];
        if ('' !== $parts) {
            return self::pick($odd, \is_array($one) ? $one[$parts] ?? null : null, '');
        }

        return self::text(\is_array($one) ? $one['id'] ?? '' : '');
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
