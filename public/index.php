<?php

declare(strict_types=1);

use Octavum\Kernel;

require_once dirname(__DIR__).'/vendor/autoload_runtime.php';

// what is written is its owner's alone, whatever the machine's habit
umask(0077);

return static fn (array $context) => new Kernel((string) $context['APP_ENV'], (bool) $context['APP_DEBUG']);
