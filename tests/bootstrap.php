<?php

declare(strict_types=1);

/*
 * A fresh database for every run; each test's changes are rolled back. Of several processes each has a copy of its own of what
 * tests/prepare.php has made for all of them.
 */

use Octavum\Kernel;
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
if (false === $process) {
    require __DIR__.'/prepare.php';
} else {
    (new Filesystem())->remove($data);
    (new Filesystem())->mirror($made, $data);
}
