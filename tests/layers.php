<?php

declare(strict_types=1);

// Draws which part knows which: docs/layers.svg, from the code as it is.
require dirname(__DIR__).'/vendor/autoload.php';
file_put_contents(dirname(__DIR__).'/docs/layers.svg', Octavum\Tests\Architecture\Layers::picture());
