<?php

declare(strict_types=1);

namespace Octavum\Tests\Store\Workroom;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Store\Workroom\RowCheck;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Console\Command\Command;

/** A stored value that cannot be read stops its own page, which says so, and no other; the doctor mends it and keeps what was there. */
final class UnreadableRowsTest extends PageTestCase
{
    private const PAGES = [
        '/season', '/cloth', '/cloth?show=list', '/patterns', '/match', '/match/best', '/table', '/table/new', '/shopping', '/sewing',
        '/people', '/notions', '/lists', '/settings', '/changes', '/settings/export', '/project/new', '/find?q=o',
    ];

    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    public function testOfTheDemoEveryRowCanBeRead(): void
    {
        self::assertSame([], $this->service(RowCheck::class)->find($this->account));
    }

    #[DataProvider('spoilt')]
    public function testASpoiltRowStopsNoOtherPage(string $table, string $column, mixed $value, ?string $page): void
    {
        $id = $this->spoil($table, $column, $value);
        foreach (self::PAGES as $path) {
            $this->browser->request('GET', $path);
            self::assertLessThan(400, $this->browser->getResponse()->getStatusCode(), $path);
        }
        if (null !== $page) {
            $this->browser->request('GET', str_replace('{id}', $id, $page));
            self::assertResponseStatusCodeSame(404);
            self::assertStringContainsString('This cannot be read', self::says($this->browser->getCrawler(), 'h1'));
        }
        $doctor = $this->command('octavum:doctor', ['--mend' => true]);
        self::assertStringContainsString($table.' '.$id, $doctor->getDisplay());
        $kept = $this->connection()->fetchFirstColumn('SELECT place FROM mended WHERE row_id = ?', [$id]);
        self::assertSame([$table.'.'.$column], $kept, 'what was there is kept');
        self::assertSame(Command::SUCCESS, $this->command('octavum:doctor', [])->getStatusCode(), 'mended');
        $this->service(EntityManagerInterface::class)->clear();
        self::assertStringNotContainsString('cannot be read and is left out', self::says($this->get('/season')));
        if (null !== $page) {
            $this->get(str_replace('{id}', $id, $page));
        }
    }

    /** @return iterable<string, array{string, string, mixed, ?string}> table, column, value, the row's own page */
    public static function spoilt(): iterable
    {
        yield 'a cloth of no kind' => ['cloth', 'structure', 'woollen', '/cloth/{id}'];
        yield 'a cloth with half a list' => ['cloth', 'fibres', '[{', '/cloth/{id}'];
        yield 'a cloth with an unknown test' => ['cloth', 'tests', '[{"on":"2026-01-01","kind":"taste","showed":"x"}]', '/cloth/{id}'];
        yield 'a cut bought on no day' => ['cut', 'ledger', '[{"on":"yesterday","kind":"bought"}]', null];
        yield 'a pattern with a chart of words' => ['pattern', 'chart', '{"sizes":"all"}', '/patterns/{id}'];
        yield 'a version of an unknown feature' => ['version', 'features', '["wings"]', null];
        yield 'pieces of nothing' => ['piece_set', 'pieces', '[{"name":7}]', null];
        $foldless = '[{"name":"Front","onFold":true,"shapes":[{"outline":[[0,5],[90,5],[90,60],[0,60]],"allowance":15}]}]';
        yield 'a piece on a fold that is not there' => ['piece_set', 'pieces', $foldless, null];
        yield 'a person measured on no day' => ['person', 'measured', '[{"on":"spring","points":{}}]', '/people/{id}'];
        yield 'a season of no weeks' => ['season', 'weeks', -3, null];
        yield 'a season that begins never' => ['season', 'starts', 'never', '/season/{id}'];
        yield 'a project in no state' => ['project', 'state', 'lost', '/project/{id}'];
        yield 'a project without a sewing page' => ['project', 'sewing', 'steps', '/project/{id}'];
        yield 'an option with an alteration of words' => ['project_option', 'alterations', '[{"name":"Longer","length":"much"}]', null];
        yield 'an option that declines nothing known' => ['project_option', 'declined', '["sails"]', null];
        yield 'a claim for no role' => ['claim', 'role', 'sail', null];
        yield 'a claim with a gate of numbers' => ['claim', 'gate', '{"guess":"1"}', null];
        yield 'a lay of words' => ['lay', 'lay', '{"sheets":"two"}', '/table/{id}'];
        yield 'a notion of no kind' => ['notion', 'kind', 'feather', '/notions/{id}'];
        yield 'a list of no rule' => ['sewing_list', 'rule', 'whim', '/lists/{id}'];
    }

    public function testSettingsThatCannotBeReadAreTheUsualOnesWithALine(): void
    {
        $this->connection()->executeStatement('UPDATE account SET settings = ? WHERE id = ?', ['{"units":"ells"', $this->account->id]);
        $this->service(EntityManagerInterface::class)->clear();
        self::assertStringContainsString('account “settings”', self::says($this->get('/season')));
        $this->command('octavum:doctor', ['--mend' => true]);
        $this->service(EntityManagerInterface::class)->clear();
        self::assertStringNotContainsString('cannot be read and is left out', self::says($this->get('/season')));
    }

    public function testOfAListOnlyTheEntryThatCannotBeReadIsTakenOut(): void
    {
        $cloth = $this->connection()->fetchOne('SELECT id FROM cloth ORDER BY id');
        $good = ['on' => '2026-01-01', 'kind' => 'width', 'showed' => '140 cm'];
        $tests = json_encode([$good, ['on' => 'once', 'kind' => 'width', 'showed' => 'x'], $good]);
        $this->connection()->executeStatement('UPDATE cloth SET tests = ?, notes = ? WHERE id = ?', [$tests, 'From the quay.', $cloth]);
        $this->command('octavum:doctor', ['--mend' => true]);
        $stored = $this->connection()->fetchAssociative('SELECT tests, notes FROM cloth WHERE id = ?', [$cloth]);
        self::assertIsArray($stored);
        self::assertJsonStringEqualsJsonString((string) json_encode([$good, $good]), \is_string($stored['tests']) ? $stored['tests'] : '');
        self::assertStringStartsWith("From the quay.\nCould not be read on ", \is_string($stored['notes']) ? $stored['notes'] : '');
    }

    private function spoil(string $table, string $column, mixed $value): string
    {
        $id = $this->connection()->fetchOne('SELECT id FROM '.$table.' ORDER BY id');
        self::assertIsString($id);
        $this->connection()->executeStatement('UPDATE '.$table.' SET '.$column.' = ? WHERE id = ?', [$value, $id]);
        $this->service(EntityManagerInterface::class)->clear();

        return $id;
    }

    private function connection(): Connection
    {
        return $this->service(Connection::class);
    }
}
