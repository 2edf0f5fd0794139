<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Octavum\Core\Season\Gate\Check;

/** The changes that a person makes in a workroom, each of something that is there, by chance. */
final readonly class Changes
{
    /** @return non-empty-list<string> */
    public function kinds(): array
    {
        return array_keys($this->all(StoredRows::none(), new Odd(0)));
    }

    /** Null when there is nothing to be changed in this way. */
    public function send(string $kind, StoredRows $rows, Visitor $visitor, Odd $odd): ?Answer
    {
        [$page, $path, $fields] = $this->all($rows, $odd)[$kind];
        if (str_contains($path, '//')) {
            return null;
        }
        $found = '' === $page ? [] : $this->found($visitor->page($page)->content);

        return $visitor->send($path, $fields + $found);
    }

    /** @return non-empty-array<string, array{string, string, array<string, mixed>}> by kind: page of its revision, if any; path; fields */
    private function all(StoredRows $rows, Odd $odd): array
    {
        $id = static function (string $table) use ($rows, $odd): string {
            $ids = $rows->ids($table);

            return [] === $ids ? '' : $odd->pick($ids);
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
        $claim = [] === $claims ? '' : $odd->pick($claims);
        $claimed = '/project/'.('' === $claim ? '' : self::owner($rows, $claim));
        $current = array_map(static fn (string $id): string => $rows->column('project', $id, 'current_id'), $rows->ids('project'));
        $others = array_values(array_diff($rows->ids('project_option'), $current));
        $other = [] === $others ? '' : $odd->pick($others);
        $head = '/project/'.$rows->column('project_option', $other, 'project_id');
        $option = $head.'/option/'.$other;
        $named = ['season' => $id('season'), 'name' => 'By chance '.$odd->number(1, 999)];
        $kept = ['reason' => 'by chance', 'keep' => (string) $odd->number(0, 1)];
        $state = $odd->pick(['planned', 'ready to cut', 'sewing', 'resting', 'given up', 'done']);
        $bulk = ['cloths' => [$id('cloth'), $id('cloth')], 'what' => $odd->pick(['aside', 'back', 'move', 'remove']), 'text' => 'locker 9'];

        return [
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
            'ledger' => [$cloth, $cut.'/ledger', ['kind' => $odd->pick(['washed', 'measured', 'steamed']), 'length' => '0.9']],
            'take a cut out' => ['', $cut.'/remove', []],
            'several cloths' => ['', '/cloth/bulk', $bulk],
            'keep what makes it enough' => [$claimed.'/enough/'.$claim, $claimed.'/enough/'.$claim.'/keep', []],
            'cut' => ['', $claimed.'/gate/'.$claim, self::cutting('trial')],
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
    }

    /**
     * What cuts at the gate.
     *
     * @return array<string, mixed>
     */
    public static function cutting(string $word): array
    {
        return [
            'cut' => '1',
            'used' => '5 cm',
            'remnants' => [['length' => '5 cm', 'width' => '5 cm']],
            'spoilt' => $word,
            'word' => array_fill_keys(array_column(Check::cases(), 'value'), $word),
        ];
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
            'size' => $odd->pick(['14', '16', '']),
            'claims' => [['role' => 'main', 'buy' => 'Tweed '.$odd->number(1, 9)], ['role' => 'lining', 'buy' => 'Silk']],
            'copies' => [['size' => '12'], ['size' => '18']],
            'certainty' => 'likely',
            'state' => 'planned',
        ];
    }
}
