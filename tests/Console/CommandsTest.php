<?php

declare(strict_types=1);

namespace Octavum\Tests\Console;

use Octavum\Account\AccountRepository;
use Octavum\Store\Workroom\Replaced;
use Octavum\Tests\PageTestCase;

final class CommandsTest extends PageTestCase
{
    private const DEMO = __DIR__.'/../../fixtures/demo-workroom.json';

    public function testCheckWorksOnADocumentAlone(): void
    {
        $check = $this->command('octavum:check', ['file' => self::DEMO, '--json' => true]);
        self::assertSame(0, $check->getStatusCode());
        $answer = json_decode($check->getDisplay(), true, 512, \JSON_THROW_ON_ERROR);
        self::assertIsArray($answer);
        self::assertIsArray($answer['projects']);
        $projects = array_column($answer['projects'], null, 'project');
        $coat = $projects['Towpath coat'];
        self::assertIsArray($coat);
        self::assertSame('short', $coat['verdict']);
        self::assertIsArray($coat['roles']);
        $main = $coat['roles'][0];
        self::assertIsArray($main);
        self::assertSame(
            ['main', 'Reed canvas', 'envelope, own width', '2.60 m', '2.34 m', '26 cm', 'short', '2.26 m'],
            [
                $main['role'],
                $main['cloth'],
                $main['way'],
                $main['need'],
                $main['toCut'],
                $main['missing'],
                $main['verdict'],
                $main['secondOpinion'],
            ],
        );
        self::assertIsArray($main['working']);
        self::assertContains('Usable: = 2.342 m', $main['working']);
    }

    public function testCheckReadsTheDatabaseAndTheSeasonNamed(): void
    {
        $display = $this->command('octavum:check', [])->getDisplay();
        self::assertStringContainsString('Thaw, 1 March 2027 to 30 May 2027', $display);
        self::assertStringContainsString(
            'Allotment shorts is 26 cm short on Heron lawn by the envelope, after Heron skirt, and enough when it is laid.',
            $display,
        );
        self::assertStringContainsString('Rime', $this->command('octavum:check', ['--season' => 'Rime'])->getDisplay());
        self::assertSame(2, $this->command('octavum:check', ['--season' => 'Never'])->getStatusCode());
        self::assertStringContainsString(
            'There is no account',
            $this->command('octavum:check', ['--account' => 'nobody@example.org'])->getErrorOutput(),
        );
    }

    public function testADocumentWithFaultsIsRefusedWithTheirPlaces(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'octavum');
        file_put_contents($path, str_replace('"width": 1500', '"width": "wide"', (string) file_get_contents(self::DEMO)));
        $check = $this->command('octavum:check', ['file' => $path]);
        self::assertSame(2, $check->getStatusCode());
        self::assertSame('', $check->getDisplay());
        self::assertStringContainsString('/cloths/0/width  A length is a number of millimetres, found “wide”.', $check->getErrorOutput());
        self::assertStringContainsString(
            'There is no readable file',
            $this->command('octavum:check', ['file' => '/nowhere'])->getErrorOutput(),
        );
    }

    public function testTheDemoIsPutIntoAnAccountOfItsOwnAndOutAgain(): void
    {
        $own = ['--account' => 'copy@example.org', '--password' => 'four quiet lockers'];
        $this->command('octavum:demo', $own);
        $account =
            $this->service(AccountRepository::class)->findOneBy(['email' => 'copy@example.org']) ?? self::fail('No account was made.');
        self::assertFalse($account->demo, 'it is opened with its password');
        self::assertCount(42, $this->workroom($account)->cloths);
        $this->command('octavum:demo', $own + ['--empty' => true]);
        self::assertSame([], $this->workroom($account)->cloths);
        self::assertSame([], $this->service(Replaced::class)->find($account));
        self::assertSame('', $this->command('octavum:demo', [])->getDisplay(), 'there is an account already');
    }

    public function testExportAndImport(): void
    {
        $this->account();
        $json = $this->command('octavum:export', [])->getDisplay();
        $path = (string) tempnam(sys_get_temp_dir(), 'octavum');
        file_put_contents($path, $json);
        $import = $this->command('octavum:import', ['file' => $path, '--account' => 'maud@example.org']);
        self::assertSame(0, $import->getStatusCode());
        self::assertStringContainsString('Imported: 42 cloths, 27 patterns, 3 seasons, 23 projects.', $import->getDisplay());
        $again = $this->command('octavum:import', ['file' => $path, '--account' => 'maud@example.org']);
        self::assertStringContainsString('say --replace', $again->getErrorOutput());
        self::assertSame(
            0,
            $this->command('octavum:import', ['file' => $path, '--account' => 'maud@example.org', '--replace' => true])->getStatusCode(),
        );
        self::assertStringContainsString('There is no account', $this->command('octavum:import', ['file' => $path])->getErrorOutput());
    }
}
