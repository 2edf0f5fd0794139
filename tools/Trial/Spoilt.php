<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

use Symfony\Component\Uid\Ulid;

/** Spoils a value of one stored row after another, in the file itself: no page but the row's own may fail for it. */
final readonly class Spoilt implements Trial
{
    private const PAGES = [
        '/season', '/cloth', '/patterns', '/shopping', '/sewing', '/people', '/notions', '/table', '/match', '/match/best', '/lists',
        '/settings', '/changes', '/settings/export', '/find?q=o',
    ];

    /** The page of a row itself, by table. */
    private const OWN = [
        'cloth' => '/cloth/',
        'pattern' => '/patterns/',
        'person' => '/people/',
        'project' => '/project/',
        'lay' => '/table/',
        'notion' => '/notions/',
        'sewing_list' => '/lists/',
        'season' => '/season/',
    ];
    private const TABLES = [
        ...['cloth', 'pattern', 'person', 'project', 'lay', 'notion', 'sewing_list', 'season'],
        ...['cut', 'version', 'piece_set', 'project_option', 'project_copy', 'claim', 'overrule'],
    ];
    private const LEFT = ['id', 'revision', 'removed_at', 'changes', 'account_id', 'name', 'title', 'notes'];

    public function name(): string
    {
        return 'spoilt';
    }

    public function run(Server $server, TimeBox $span, int $seed, Tally $tally): void
    {
        // ids sort by when they were made: the rows of this visitor's workroom
        $since = (string) new Ulid();
        $visitor = Visitor::oneOfMany($server);
        $odd = new Odd($seed);
        $database = new \PDO('sqlite:'.$server->data.'/octavum.sqlite', options: [\PDO::ATTR_TIMEOUT => 20]);
        $rows = [];
        foreach (self::TABLES as $table) {
            $query = $database->prepare('SELECT id FROM '.$table.' WHERE id > ?');
            $query->execute([$since]);
            foreach ($query->fetchAll(\PDO::FETCH_COLUMN) as $id) {
                $rows[] = [$table, \is_string($id) ? $id : ''];
            }
        }
        $spoilt = $refused = 0;
        while ([] !== $rows && ($span->more() || 0 === $spoilt)) {
            [[$table, $id]] = array_splice($rows, $odd->number(0, \count($rows) - 1), 1);
            $what = $this->spoil($database, $table, $id, $odd);
            if (null === $what) {
                continue;
            }
            ++$spoilt;
            [$column, $was, $value] = $what;
            foreach (self::PAGES as $page) {
                $answer = $visitor->page($page);
                $place = \sprintf('%s.%s of %s is %s: %s', $table, $column, $id, $value, $page);
                $tally->answer($answer, $place);
                $tally->expect($answer->status < 400, $place.' answers '.$answer->status);
            }
            if (isset(self::OWN[$table])) {
                $own = $visitor->page(self::OWN[$table].$id);
                $tally->answer($own, $table.' '.$id.' itself');
                $refused += (int) str_contains($own->content, 'This cannot be read');
            }
            $database->prepare(\sprintf('UPDATE %s SET "%s" = ? WHERE id = ?', $table, $column))->execute([$was, $id]);
            $database->exec('DELETE FROM unreadable');
            $database->exec('UPDATE account SET unreadable = 0');
        }
        $tally->figures[] = \sprintf('%d of %d rows, %d pages of their own said so', $spoilt, $spoilt + \count($rows), $refused);
    }

    /** @return ?array{string, mixed, string} the column, what it held, and what it holds now; null when the row has none to spoil */
    private function spoil(\PDO $database, string $table, string $id, Odd $odd): ?array
    {
        $query = $database->prepare('SELECT * FROM '.$table.' WHERE id = ?');
        $query->execute([$id]);
        $row = $query->fetch(\PDO::FETCH_ASSOC);
        $columns = array_values(array_filter(
            array_keys(\is_array($row) ? $row : []),
            static fn (string $name): bool => !\in_array($name, self::LEFT, true) && !str_ends_with($name, '_id'),
        ));
        if ([] === $columns || !\is_array($row)) {
            return null;
        }
        $column = $columns[$odd->number(0, \count($columns) - 1)];
        $value = $odd->pick(['[{', '{"a":1}', '[7,"x",null]', 'nonsense', '-9', '99999999999999999999', "\u{ad}", '2027-02-30 25:00']);
        $done = $database->prepare(\sprintf('UPDATE %s SET "%s" = ? WHERE id = ?', $table, $column))->execute([$value, $id]);

        return $done ? [$column, $row[$column], $value] : null;
    }
}
