<?php

declare(strict_types=1);

// Cuts the claim of argv[1] at the gate, in the database of OCTAVUM_DATA, and is killed at the change of a row that argv[2] counts.

use Doctrine\DBAL\Connection;
use Octavum\Account\AccountRepository;
use Octavum\Core\Measure\Length;
use Octavum\Kernel;
use Octavum\Room\Gate\CutRecorder;
use Octavum\Room\Gate\Taken;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Psr\Container\ContainerInterface;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\UsernamePasswordToken;

require dirname(__DIR__).'/vendor/autoload.php';

$claim = $argv[1] ?? '';
$at = (int) ($argv[2] ?? 0);
$kernel = new Kernel('test', false);
$kernel->boot();
/** @var ContainerInterface $services */
$services = $kernel->getContainer()->get('test.service_container');
/** @var AccountRepository $accounts */
$accounts = $services->get(AccountRepository::class);
$account = $accounts->demo() ?? throw new LogicException('The demo is there.');
/** @var TokenStorageInterface $tokens */
$tokens = $services->get('security.token_storage');
$tokens->setToken(new UsernamePasswordToken($account, 'main'));
/** @var Connection $connection */
$connection = $services->get('doctrine.dbal.default_connection');
/** @var PDO $database */
$database = $connection->getNativeConnection();
$query = 'SELECT o.project_id, c.cut_id FROM claim c JOIN project_option o ON o.id = c.option_id WHERE c.id = ?';
/** @var array{project_id: string, cut_id: string} $row */
$row = $connection->fetchAssociative($query, [$claim]);
/** @var Stash $stash */
$stash = $services->get(Stash::class);
/** @var CutRecorder $scissors */
$scissors = $services->get(CutRecorder::class);
$cut = $stash->record($account, $row['cut_id']) ?? throw new LogicException('The cut is there.');

$changes = 0;
$database->sqliteCreateFunction('counted', static function () use (&$changes, $at): int {
    if (++$changes === $at) {
        posix_kill((int) getmypid(), \SIGKILL);
    }

    return 0;
}, 0);
foreach (['project', 'claim', 'cut', 'undo'] as $table) {
    foreach (['BEFORE', 'AFTER'] as $when) {
        foreach (['INSERT', 'UPDATE'] as $what) {
            $name = 'die_'.$table.$when.$what;
            $database->exec("CREATE TEMP TRIGGER $name $when $what ON main.$table BEGIN SELECT counted(); END");
        }
    }
}
$part = Length::ofMillimetres(50);
$taken = new Taken($part, [[$part, $part]], 'killed');
$scissors->cut($account, $row['project_id'], $claim, $cut, $taken, ['laid' => 'killed'], new Notice('{cloth} is cut.', [], '/'));
