<?php

declare(strict_types=1);

/*
 * A fresh database for every run; each test's changes are rolled back. Run by itself it builds the container, and a database with the demo
 * in it, of which each of several processes of tests takes a copy of its own.
 */

use Octavum\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\Filesystem\Filesystem;

require dirname(__DIR__).'/vendor/autoload.php';

$process = getenv('TEST_TOKEN');
$made = dirname(__DIR__).'/var/test-data';
$data = false === $process ? $made : $made.'-'.$process;
$set = ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'APP_SECRET' => 'test', 'OCTAVUM_DATA' => $data, 'KERNEL_CLASS' => Kernel::class];
foreach ($set as $name => $value) {
    putenv($name.'='.$value);
    $_SERVER[$name] = $_ENV[$name] = $value;
}
$files = new Filesystem();
$files->remove($data);
if (false !== $process) {
    $files->mirror($made, $data);

    return;
}
$files->remove(dirname(__DIR__).'/var/cache/test');
$files->mkdir($data);
$application = new Application(new Kernel('test', false));
$application->setAutoExit(false);
foreach (['doctrine:migrations:migrate', 'octavum:demo'] as $command) {
    if (0 !== $application->run(new ArrayInput(['command' => $command, '--no-interaction' => true]), new NullOutput())) {
        throw new RuntimeException($command.' failed.');
    }
}
