<?php

declare(strict_types=1);

namespace Octavum\Console\Trial;

use Octavum\Core\Season\Gate\Check;

/**
 * A walk by chance over the changes of a workroom in two tabs, with undos in and out of order, against what must be left: a change that
 * is undone first leaves what was there before it, an undo that is refused leaves all as it is, and what is undone from the last to the
 * first leaves the beginning. What is there is read in the database itself after each step. After twenty changes each the export is read
 * into another account and exported again.
 */
final class Undoing implements Trial
{
    private const CHANGES = 20;

    /** In a run of a few seconds. */
    private const FEW = 6;
    private const SHORT = 10;

    /** One change in so many is looked for on the page that follows. */
    private const SEEN = 8;

    /** @var array<string, int> how often each kind of change was made */
    private array $made = [];

    private \PDO $database;
    private string $account = '';
    private int $steps = 0;
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
        $this->database = new \PDO('sqlite:'.$server->data.'/octavum.sqlite', options: [\PDO::ATTR_TIMEOUT => 20]);
        $this->account = $this->value('SELECT MAX(id) FROM account');
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
        $begun = $now = $this->rows();
        /** @var list<array{undo: string, kind: string, before: ?StoredRows}> $stack the newest last, each with what undoing it leads to */
        $stack = [];
        for ($i = 0; $i < $changes; ++$i) {
            $tab = $tabs[$odd->number(0, 1)];
            if ([] !== $stack && 0 === $odd->number(0, 3)) {
                $at = $odd->number(0, 1) * $odd->number(0, \count($stack) - 1);
                $now = $this->undo($tab, $stack, \count($stack) - 1 - $at, $now, $tally);
                continue;
            }
            [$kind, $page, $path, $fields] = $this->change($now, $odd);
            if ('' === $path) {
                continue;
            }
            if ('' !== $page) {
                $fields += $this->found($tab->page($page)->content);
            }
            $newest = $this->newestUndo();
            $answer = $tab->send($path, $fields);
            ++$this->steps;
            $tally->answer($answer, $kind);
            $undo = $this->newestUndo();
            $after = $this->rows();
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
        $after = $this->rows();
        if ('1' !== $this->value('SELECT undone FROM undo WHERE "key" = ?', $change['undo'])) {
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

    private function rows(): StoredRows
    {
        return StoredRows::read($this->database, $this->account);
    }

    private function newestUndo(): string
    {
        return $this->value('SELECT MAX("key") FROM undo WHERE account_id = ?', $this->account);
    }

    private function value(string $query, string ...$with): string
    {
        $found = $this->database->prepare($query);
        $found->execute($with);
        $value = $found->fetchColumn();

        return \is_scalar($value) ? (string) $value : '';
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

    /** @return array{string, string, string, array<string, mixed>} kind, the page whose revision is sent, path (empty for none), fields */
    private function change(StoredRows $rows, Odd $odd): array
    {
        $id = static function (string $table) use ($rows, $odd): string {
            $ids = $rows->ids($table);

            return [] === $ids ? '' : $odd->of($ids);
        };
        $one = $id('project');
        $project = '/project/'.$one;
        $cloth = '/cloth/'.$id('cloth');
        $whole = $id('cut');
        $cut = '/cut/'.$whole;
        $claims = array_values(array_filter(
            $rows->ids('claim'),
            static fn (string $claim): bool => '' !== $rows->column('claim', $claim, 'cut_id')
                && '0' === $rows->column('claim', $claim, 'cut_out')
                && '' !== self::owner($rows, $claim),
        ));
        $claim = [] === $claims ? '' : $odd->of($claims);
        $claimed = '/project/'.('' === $claim ? '' : self::owner($rows, $claim));
        $current = array_map(static fn (string $id): string => $rows->column('project', $id, 'current_id'), $rows->ids('project'));
        $others = array_values(array_diff($rows->ids('project_option'), $current));
        $other = [] === $others ? '' : $odd->of($others);
        $head = '/project/'.$rows->column('project_option', $other, 'project_id');
        $option = $head.'/option/'.$other;
        $named = ['season' => $id('season'), 'name' => 'By chance '.$odd->number(1, 999)];
        $kept = ['reason' => 'by chance', 'keep' => (string) $odd->number(0, 1)];
        $state = $odd->of(['planned', 'ready to cut', 'sewing', 'resting', 'given up', 'done']);
        $bulk = ['cloths' => [$id('cloth'), $id('cloth')], 'what' => $odd->of(['aside', 'back', 'move', 'remove']), 'text' => 'locker 9'];
        $kinds = [
            'take' => [$head, $option.'/take', $kept],
            'let go' => ['', $option.'/let-go', []],
            'bring back' => ['', $option.'/back', []],
            'take an option out' => ['', $option.'/remove', []],
            'new option' => ['', $project.'/option/new', ['size' => '16', 'when' => 'by chance']],
            'move up' => ['', $project.'/move', []],
            'next year' => ['', $project.'/season', ['season' => 'next year']],
            'in no season' => ['', $project.'/season', ['season' => 'none']],
            'to a season' => ['', $project.'/season', ['season' => $id('season')]],
            'split' => ['', $project.'/split', ['first' => 'Half a '.$odd->number(1, 99), 'second' => 'Other half']],
            'decline' => ['', $project.'/decline', ['role' => 'lining']],
            'state' => [$project, $project.'/state', ['state' => $state, 'why' => 'by chance']],
            'take a project out' => ['', $project.'/remove', []],
            'save a project' => [$project.'/change', $project.'/change', [
                'season' => $rows->column('project', $one, 'season_id'),
                'name' => $rows->column('project', $one, 'name'),
            ] + $this->saved($odd)],
            'new project' => ['', '/project/new', $named + $this->saved($odd)],
            'take a cloth out' => ['', $cloth.'/remove', []],
            'more cloth' => ['', '/cloth/haul', ['haul' => "1.2 m lawn 140 wide\n2 m red twill 150 wide"]],
            'another cut' => [$cloth, $cloth.'/cuts', ['length' => '1.1', 'label' => 'by chance']],
            'ledger' => [$cloth, $cut.'/ledger', ['kind' => $odd->of(['washed', 'measured', 'steamed']), 'length' => '0.9']],
            'take a cut out' => ['', $cut.'/remove', []],
            'several cloths' => ['', '/cloth/bulk', $bulk],
            'keep what makes it enough' => [$claimed.'/enough/'.$claim, $claimed.'/enough/'.$claim.'/keep', []],
            'cut' => ['', $claimed.'/gate/'.$claim, [
                ...['cut' => '1', 'used' => '5 cm', 'remnants' => [['length' => '5 cm', 'width' => '5 cm']], 'spoilt' => 'trial'],
                'word' => array_fill_keys(array_column(Check::cases(), 'value'), 'trial'),
            ]],
            'a cut apart' => ['', '/cloth/'.$rows->column('cut', $whole, 'cloth_id').'/apart', [
                'parts' => 'Back 10 x 10 cm',
                'cut' => $whole,
            ]],
            'apart' => ['', $cloth.'/apart', ['parts' => "Back 60 x 40 cm\nFront 50 x 40 cm"]],
            'take a notion out' => ['', '/notions/'.$id('notion').'/remove', []],
            'more notions' => ['', '/notions', ['lines' => "6 buttons 15 mm\nzip 20 cm"]],
            'use notions' => ['', '/notions/use/'.$one, []],
            'take a list out' => ['', '/lists/'.$id('sewing_list').'/remove', []],
            'take a person out' => ['', '/people/'.$id('person').'/remove', []],
            'take a pattern out' => ['', '/patterns/'.$id('pattern').'/remove', []],
            'take a version out' => ['', '/versions/'.$id('version').'/remove', []],
            'take a lay away' => ['', '/table/'.$id('lay').'/remove', []],
        ];
        $this->made += array_fill_keys(array_keys($kinds), 0);
        $kind = $odd->of(array_keys($kinds));
        [$page, $path, $fields] = $kinds[$kind];

        return [$kind, $page, str_contains($path, '//') ? '' : $path, $fields];
    }

    /** The project whose current option a claim belongs to, empty when it belongs to another option. */
    private static function owner(StoredRows $rows, string $claim): string
    {
        $option = $rows->column('claim', $claim, 'option_id');
        $project = $rows->column('project_option', $option, 'project_id');

        return $rows->column('project', $project, 'current_id') === $option ? $project : '';
    }

    /** @return array<string, mixed> the revision that a page sends, and the first thing that may be ticked to make a cloth enough */
    private function found(string $page): array
    {
        preg_match('/name="revision"\s+value="(\d+)"/', $page, $revision);
        preg_match('/name="with\[\]"\s+value="([^"]+)"/', $page, $with);

        return (isset($revision[1]) ? ['revision' => $revision[1]] : [])
            + (isset($with[1]) ? ['with' => [html_entity_decode($with[1])]] : []);
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
}
