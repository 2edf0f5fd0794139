<?php

declare(strict_types=1);

namespace Octavum\Tests\Store;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tests\PageTestCase;

/** What the product writes, it reads again, whatever was taken out of the workroom and however long its lists grew. */
final class ExportComesHomeTest extends PageTestCase
{
    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->signInToDemo();
    }

    /** Some of each kind in turn, and all of a kind at once. */
    public function testTheExportIsReadAgainWithAnythingTakenOut(): void
    {
        $project = $this->project('Quarry pinafore');
        $this->connection()->executeStatement('UPDATE sewing_list SET projects = ? WHERE account_id = ?', [
            json_encode([$project->id, $this->project('Towpath coat')->id]),
            $this->account->id,
        ]);
        foreach (['project', 'version', 'pattern', 'cloth', 'cut', 'person', 'notion', 'sewing_list', 'lay', 'project_option'] as $table) {
            $ids = $this->connection()->fetchFirstColumn('SELECT id FROM '.$table.' WHERE removed_at IS NULL');
            self::assertNotEmpty($ids, $table);
            $some = \array_slice($ids, 0, 2);
            foreach ([...array_map(static fn (mixed $id): array => [$id], $some), $ids] as $out) {
                $this->set($table, $out, '2026-12-01 12:00:00');
                $this->comesHome($table.' '.implode(' ', array_filter($out, is_string(...))));
                $this->set($table, $out, null);
            }
        }
        $this->comesHome('whole again');
    }

    /** A shirt noted every Sunday for four years, and whatever else grows by use: every page opens, and the export comes home. */
    public function testListsThatGrewPastAnyFormAreRead(): void
    {
        $project = $this->project('Regatta dress');
        $on = '2026-11-01';
        $this->grow('project', $project->id, 'decisions', ['on' => $on, 'took' => 'A'], 120);
        $this->grow('project', $project->id, 'pictures', ['file' => str_repeat('0', 26)], 25);
        $this->grow('project_option', $project->current->id, 'alterations', ['name' => 'Longer', 'length' => 1], 120);
        $this->grow('project', $project->id, 'sewing', ['on' => $on, 'wear' => 'often'], 210, 'worn');
        $this->grow('project', $project->id, 'sewing', ['on' => $on, 'minutes' => 5], 2_100, 'stretches');
        $this->grow('project', $project->id, 'sewing', ['state' => 'planned', 'on' => $on], 210, 'states');
        $cloth = $project->current->claims[0]->cloth ?? self::fail('It has a cloth.');
        $this->grow('cloth', $cloth->id, 'tests', ['on' => $on, 'kind' => 'width', 'showed' => '140 cm'], 210);
        $this->grow('person', $this->workroom($this->account)->people[0]->id, 'facts', ['name' => 'Longer', 'length' => 10], 110);
        $pages = [
            '/season',
            '/project/'.$project->id,
            '/sewing',
            '/sewing/year/2026',
            '/shopping',
            '/table',
            '/cloth',
            '/cloth/'.$cloth->id,
            '/match?cloth='.$cloth->id,
            '/patterns',
            '/people',
            '/settings/export',
        ];
        foreach ($pages as $path) {
            $this->browser->request('GET', $path);
            self::assertResponseIsSuccessful($path);
        }
        $this->comesHome('anything');
    }

    /** @param array<string, mixed> $entry */
    private function grow(string $table, string $id, string $column, array $entry, int $times, ?string $within = null): void
    {
        $stored = $this->connection()->fetchOne('SELECT '.$column.' FROM '.$table.' WHERE id = ?', [$id]);
        $value = json_decode(\is_string($stored) ? $stored : '[]', true);
        self::assertIsArray($value);
        $grown = array_fill(0, $times, $entry);
        $value = null === $within ? $grown : [$within => $grown] + $value;
        $this->connection()->executeStatement('UPDATE '.$table.' SET '.$column.' = ? WHERE id = ?', [json_encode($value), $id]);
        $this->service(EntityManagerInterface::class)->clear();
    }

    /** @param list<mixed> $ids */
    private function set(string $table, array $ids, ?string $removed): void
    {
        foreach ($ids as $id) {
            $this->connection()->executeStatement('UPDATE '.$table.' SET removed_at = ? WHERE id = ?', [$removed, $id]);
        }
        $this->service(EntityManagerInterface::class)->clear();
    }

    private function comesHome(string $without): void
    {
        $json = $this->service(WorkroomWriter::class)->write($this->workroom($this->account));
        try {
            $read = (new WorkroomReader())->read($json);
        } catch (Refused $refused) {
            self::fail('Without '.$without.': '.$refused->getMessage());
        }
        // a lay whose pieces are gone is no longer known to be sound
        $plain = static fn (string $text): string => preg_replace('/^\s*"sound": true,\n/m', '', $text) ?? $text;
        self::assertSame($plain($json), $plain($this->service(WorkroomWriter::class)->write($read)), 'without '.$without);
    }

    private function connection(): Connection
    {
        return $this->service(Connection::class);
    }
}
