<?php

declare(strict_types=1);

namespace Octavum\Tests\Store\Workroom;

use Octavum\Core\Workroom\Workroom;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class WorkroomsTest extends PageTestCase
{
    public function testTheDemoGoesThroughTheDatabaseAndComesBackTheSame(): void
    {
        $read = (new WorkroomReader())->read((string) file_get_contents(__DIR__.'/../../../fixtures/demo-workroom.json'));
        self::assertSame($this->withoutIds($read), $this->withoutIds($this->workroom($this->demo())));
    }

    public function testExportedAndImportedInSettingsByAnotherAccount(): void
    {
        $this->signInToDemo();
        $this->get('/settings/export');
        self::assertSame(
            'attachment; filename="octavum-workroom.json"',
            $this->browser->getResponse()->headers->get('Content-Disposition'),
        );
        $json = (string) $this->browser->getResponse()->getContent();
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->import($json);
        self::assertResponseRedirects('/season');
        self::assertSame('Maud', $this->workroom($account)->name, 'what replaces nothing leaves the account its name');
        $this->import($json, ['replace' => '1']);
        self::assertSame($this->withoutIds($this->workroom($this->demo())), $this->withoutIds($this->workroom($account)));
    }

    /** @param array<string, mixed> $entered */
    #[DataProvider('firstEntries')]
    public function testWhateverWasEnteredFirstIsNeverReplacedWithoutBeingTold(string $page, string $button, array $entered): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get($page);
        $this->send($button, $entered);
        self::assertResponseRedirects();
        $before = $this->workroom($account);
        $empty = (string) json_encode(['format' => 'octavum-workroom', 'version' => 1, 'name' => 'Nothing yet']);
        self::assertStringContainsString('tick the box', self::says($this->import($empty)));
        self::assertEquals($before, $this->workroom($account));
        $this->import($empty, ['replace' => '1']);
        $this->import($empty);
        $this->get('/settings');
        $this->send('Put back', []);
        self::assertEquals($this->withoutIds($before), $this->withoutIds($this->workroom($account)));
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function firstEntries(): iterable
    {
        yield 'a person' => ['/people', 'Add', ['name' => 'Suvi']];
        yield 'notions' => ['/notions', 'Add them to your notions', ['lines' => '7 shell buttons 11 mm']];
        yield 'a season' => ['/season/new', 'Save the season', ['name' => 'Thaw']];
    }

    public function testAnImportReplacesOnlyWhenToldAndIsUndone(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $this->get('/cloth/new');
        $this->send('Save the cloth', ['name' => 'Only one', 'cuts' => [['length' => '2']]]);
        $empty = (string) json_encode(['format' => 'octavum-workroom', 'version' => 1, 'name' => 'Nothing yet']);
        self::assertStringContainsString('tick the box', self::says($this->import($empty)));
        self::assertCount(1, $this->workroom($account)->cloths);
        $this->import($empty, ['replace' => '1']);
        self::assertResponseRedirects('/season');
        self::assertCount(0, $this->workroom($account)->cloths);
        $this->browser->followRedirect();
        $this->send('undo', []);
        self::assertSame(['Only one'], array_column($this->workroom($account)->cloths, 'name'));
    }

    public function testADocumentWithFaultsChangesNothingAndEveryFaultIsListedWithItsPlace(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        $document = [
            'format' => 'octavum-workroom',
            'version' => 1,
            'name' => 'Maud',
            'cloths' => [
                ['id' => 'a', 'name' => 'Good'],
                ['id' => 'b', 'name' => '<script>', 'width' => -1, 'fibres' => ['cotton' => 70, 'wool' => 50]],
            ],
        ];
        $page = $this->import((string) json_encode($document));
        self::assertResponseStatusCodeSame(422);
        $says = self::says($page);
        self::assertStringContainsString('These 2 are wrong with it', $says);
        self::assertStringContainsString('/cloths/1/width', $says);
        self::assertStringContainsString('/cloths/1/fibres The fibres add up to 120 %', $says);
        self::assertSame([], $this->workroom($account)->cloths);
    }

    public function testTruncatedEmptyHugeAndMissingFiles(): void
    {
        $account = $this->account();
        $this->browser->loginUser($account);
        foreach (
            [
                substr(
                    (string) file_get_contents(__DIR__.'/../../../fixtures/demo-workroom.json'),
                    0,
                    20_000,
                ) => 'not a whole JSON document',
                '' => 'not a whole JSON document',
                str_repeat(' ', 30_000_000) => 'larger than 20 MB',
            ] as $content => $sentence
        ) {
            self::assertStringContainsString($sentence, self::says($this->import($content)));
            self::assertResponseStatusCodeSame(422);
        }
        $this->get('/settings');
        self::assertStringContainsString('Choose a file first', self::says($this->send('Import', [])));
        self::assertSame([], $this->workroom($account)->cloths);
    }

    /** @param array<string, string> $fields */
    private function import(string $content, array $fields = []): \Symfony\Component\DomCrawler\Crawler
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'octavum');
        file_put_contents($path, $content);
        $token = (string) $this->get('/settings')->filter('meta[name=csrf]')->attr('content');

        return $this->browser->request('POST', '/settings/import', $fields + ['_token' => $token], [
            'document' => new UploadedFile($path, 'workroom.json', 'application/json', null, true),
        ]);
    }

    /** The document with ids named by their order, since each database makes its own. */
    private function withoutIds(Workroom $workroom): string
    {
        $seen = [];

        $written = preg_replace_callback(
            '/"(id|current|season|person|version|cut|lay|project|cloth)": "([^"]+)"/',
            static function (array $found) use (&$seen): string {
                $seen[$found[2]] ??= \count($seen);

                return \sprintf('"%s": "#%d"', $found[1], $seen[$found[2]]);
            },
            (new WorkroomWriter())->write($workroom),
        ) ?? '';

        // what stands on a list
        return preg_replace_callback(
            '/^(\s+)"(project-\d+|[0-9A-Z]{26})"/m',
            static fn (array $found): string => $found[1].'"#'.$seen[$found[2]].'"',
            $written,
        ) ?? '';
    }
}
