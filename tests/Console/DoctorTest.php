<?php

declare(strict_types=1);

namespace Octavum\Tests\Console;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Tests\PageTestCase;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpKernel\KernelInterface;

final class DoctorTest extends PageTestCase
{
    private string $secret;

    protected function setUp(): void
    {
        parent::setUp();
        $this->secret = self::data().'/secret';
        file_put_contents($this->secret, 'quiet');
        $this->doctor('--mend');
    }

    protected function tearDown(): void
    {
        unlink($this->secret);
        parent::tearDown();
    }

    public function testAllIsWell(): void
    {
        self::assertSame([0, 'All is well.'], $this->doctor());
    }

    public function testWhatOthersCouldReadIsNamedAndMended(): void
    {
        chmod($this->secret, 0o644);
        [$status, $said] = $this->doctor();
        self::assertSame(1, $status);
        self::assertStringContainsString('secret can be read or changed by others of this machine (644)', $said);
        $this->doctor('--mend');
        self::assertSame(0o600, (int) fileperms($this->secret) & 0o777);
        self::assertSame(0, $this->doctor()[0]);
    }

    public function testABrokenTextIsNamedWithItsRowAndMended(): void
    {
        $connection = $this->service(Connection::class);
        $id = $connection->fetchOne('SELECT id FROM notion ORDER BY id');
        $connection->executeStatement('UPDATE notion SET name = ? WHERE id = ?', ["\xa22 zip", $id], [ParameterType::LARGE_OBJECT]);
        $connection->executeStatement('UPDATE notion SET name = CAST(name AS TEXT)');
        [$status, $said] = $this->doctor();
        self::assertSame(1, $status);
        self::assertStringContainsString('notion '.(\is_string($id) ? $id : '').', name: bytes that are no text.', $said);
        $this->doctor('--mend');
        self::assertSame('?2 zip', $connection->fetchOne('SELECT name FROM notion WHERE id = ?', [$id]));
        self::assertSame(0, $this->doctor()[0]);
    }

    public function testAValueThatCannotBeReadIsNamed(): void
    {
        $connection = $this->service(Connection::class);
        $id = $connection->fetchOne('SELECT id FROM person ORDER BY id');
        $connection->executeStatement('UPDATE person SET measured = ? WHERE id = ?', ['[{"on":"yesterday","points":{}}]', $id]);
        [$status, $said] = $this->doctor();
        self::assertSame(1, $status);
        self::assertStringContainsString('What is stored of person '.(\is_string($id) ? $id : '').' cannot be read: /0/on', $said);
    }

    /** @return array{int, string} */
    private function doctor(string ...$options): array
    {
        $this->service(EntityManagerInterface::class)->clear();
        $command = new CommandTester((new Application($this->service(KernelInterface::class)))->find('octavum:doctor'));
        $status = $command->execute(array_fill_keys($options, true));

        return [$status, trim($command->getDisplay())];
    }
}
