<?php

declare(strict_types=1);

use Octavum\Kernel;

require_once dirname(__DIR__).'/vendor/autoload_runtime.php';

// what is written is its owner's alone, whatever the machine's habit
umask(0077);
if (!isset($_SERVER['APP_SECRET'])) {
    // behind php-fpm it stands in no configuration that others can read
    $_SERVER['APP_SECRET'] = trim((string) @file_get_contents(($_SERVER['OCTAVUM_DATA'] ?? dirname(__DIR__).'/var/data').'/secret'));
}

return static fn (array $context) => new Kernel((string) $context['APP_ENV'], (bool) $context['APP_DEBUG']);
