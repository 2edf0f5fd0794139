<?php

declare(strict_types=1);

use Octavum\Tests\Architecture\Layers;

// Draws which part knows which (docs/layers.svg) and lists the parts (docs/architecture.md), from the code as it is.
require dirname(__DIR__).'/vendor/autoload.php';
$docs = dirname(__DIR__).'/docs/';
file_put_contents($docs.'layers.svg', Layers::picture());
$page = (string) file_get_contents($docs.'architecture.md');
file_put_contents($docs.'architecture.md', preg_replace(
    '/(<!-- parts -->\n).*(\n<!-- end of parts -->)/s',
    '$1'.addcslashes(Layers::table(), '\\$').'$2',
    $page,
));
