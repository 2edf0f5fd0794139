<?php

declare(strict_types=1);

/* Builds the container anew, and a database with the demo in it, in var/test-data. */

use Octavum\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\Filesystem\Filesystem;

require_once dirname(__DIR__).'/vendor/autoload.php';

(static function (string $project): void {
    $data = $project.'/var/test-data';
    (new Filesystem())->remove([$data, $project.'/var/cache/test']);
    (new Filesystem())->mkdir($data);
    foreach (['APP_SECRET' => 'test', 'OCTAVUM_DATA' => $data] as $name => $value) {
        putenv($name.'='.$value);
        $_SERVER[$name] = $_ENV[$name] = $value;
    }
    $application = new Application(new Kernel('test', false));
    $application->setAutoExit(false);
    foreach (['doctrine:migrations:migrate', 'octavum:demo'] as $command) {
        if (0 !== $application->run(new ArrayInput(['command' => $command, '--no-interaction' => true]), new NullOutput())) {
            throw new RuntimeException($command.' failed.');
        }
    }
})(dirname(__DIR__));
